import clsx from 'clsx';
import { ChevronDown, Search } from 'lucide-react';
import { useState } from 'react';
import { widgetKinds, type WidgetType } from '../../../../core/widgets/list.ts';
import { box } from '../../../ui/box.ts';
import { addWidget } from '../../parts/acts.ts';
import { FaceCard } from './face-card.tsx';

type Kind = (typeof widgetKinds)[number];

/** All that people would type for a kind. */
const textOf = ({ title, summary, also, faces }: Kind) =>
  [title, summary, also, ...faces.map((face) => face.title)].join(' ').toLowerCase();

function fitting(query: string): Kind[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  return widgetKinds.filter((kind) => words.every((word) => textOf(kind).includes(word)));
}

/** Every kind of widget with one picture; its other faces are out of the way until they are asked for. */
export function Gallery() {
  const [query, setQuery] = useState('');
  const found = fitting(query);
  return (
    <>
      <label className="relative mb-4 block">
        <Search size={15} className="pointer-events-none absolute left-2.5 top-2 text-dust" aria-hidden />
        <input
          type="search"
          aria-label="Find a widget"
          placeholder="temperature, moon, disk…"
          value={query}
          maxLength={60}
          onChange={(event) => setQuery(event.target.value)}
          className={clsx(box, 'h-8 w-full pl-8')}
        />
      </label>
      {found.length === 0 && (
        <p className="mb-4 text-dust">Nothing shows that yet. A part of the word may find something.</p>
      )}
      {found.map((kind) => (
        // With few found, what is looked for may be one of the faces.
        <KindOfWidget key={kind.type} kind={kind} isFound={query.trim() !== '' && found.length <= 2} />
      ))}
      <p className="mt-2 text-[12px] text-dust">Press a face to add it, or drag it onto the stage.</p>
    </>
  );
}

function KindOfWidget({ kind, isFound }: { kind: Kind; isFound: boolean }) {
  const [isOpen, setOpen] = useState(false);
  const { type, title, summary, faces } = kind;
  const isWide = isOpen || isFound;
  return (
    <section className="mb-4" aria-label={title}>
      <div
        className={clsx('grid gap-x-3 gap-y-2', isWide ? 'grid-cols-2' : 'grid-cols-[129px_minmax(0,1fr)]')}
      >
        {isWide ? (
          <div className="col-span-2">
            <Head title={title} summary={summary} />
          </div>
        ) : null}
        {(isWide ? faces : faces.slice(0, 1)).map((face) => (
          <Face key={face.id} type={type} face={face.id} />
        ))}
        {!isWide && (
          <div className="flex min-w-0 flex-col py-0.5">
            <Head title={title} summary={summary} />
            <Opener isOpen={false} count={faces.length} title={title} onPress={() => setOpen(true)} />
          </div>
        )}
        {isOpen && (
          <div className="col-span-2">
            <Opener isOpen count={faces.length} title={title} onPress={() => setOpen(false)} />
          </div>
        )}
      </div>
    </section>
  );
}

function Head({ title, summary }: { title: string; summary: string }) {
  return (
    <>
      <h3 className="font-semibold">{title}</h3>
      <p className="text-[12px] leading-snug text-dust">{summary}</p>
    </>
  );
}

function Face({ type, face }: { type: WidgetType; face: string }) {
  return <FaceCard type={type} face={face} canDrag onPress={() => addWidget(type, face)} />;
}

function Opener({
  isOpen,
  count,
  title,
  onPress,
}: {
  isOpen: boolean;
  count: number;
  title: string;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      aria-label={isOpen ? `Put the faces of ${title} away` : `All ${count} faces of ${title}`}
      onClick={onPress}
      className="mt-auto flex h-7 items-center gap-1 self-start text-[12px] text-brass hover:underline"
    >
      {isOpen ? 'Put away' : `All ${count} faces`}
      <ChevronDown size={13} className={clsx('transition-transform', isOpen && 'rotate-180')} />
    </button>
  );
}
