import Fuse from 'fuse.js';
import { useContext, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { SceneAppList } from '../../core/scene/scene.ts';
import { Actions } from './actions.ts';
import { ApplicationIcon } from './icons.tsx';
import { Runs, placeOf } from './runs.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';

type Entry = SceneAppList['entries'][number];

/** The list of applications, open: typed letters search it, arrows go through it, Enter starts. */
export default function AppList({ list, onClose }: { list: SceneAppList; onClose: () => void }) {
  const actions = useContext(Actions);
  const [query, setQuery] = useState('');
  const [index, setIndex] = useState(0);
  const shown = useFound(list.entries, query);

  function onKeyDown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const by = event.key === 'ArrowDown' ? 1 : -1;
      setIndex((shown.length + index + by) % Math.max(1, shown.length));
    } else if (event.key === 'Enter') {
      const chosen = shown[index];
      if (chosen) actions?.start(chosen.id);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      onClose();
    }
  }

  return (
    <>
      <div className="absolute inset-0" onPointerDown={onClose} />
      <div
        role="dialog"
        aria-label="App list"
        className="absolute overflow-hidden"
        style={{ ...surfaceColours(list.surface), ...surfaceBox(list.surface), ...placeOf(list.rect) }}
        onKeyDown={onKeyDown}
      >
        <Search
          list={list}
          query={query}
          onQuery={(text) => {
            setQuery(text);
            setIndex(0);
          }}
        />
        {shown.length === 0 && <Runs runs={[list.none]} />}
        <Rows list={list} shown={shown} index={index} onPoint={setIndex} />
      </div>
    </>
  );
}

function useFound(entries: readonly Entry[], query: string): readonly Entry[] {
  const fuse = useMemo(() => new Fuse(entries, { keys: ['name', 'search'], threshold: 0.35 }), [entries]);
  const words = query.trim();
  return useMemo(
    () => (words ? fuse.search(words).map(({ item }) => item) : entries),
    [fuse, words, entries],
  );
}

function Search({
  list: { search, hint },
  query,
  onQuery,
}: {
  list: SceneAppList;
  query: string;
  onQuery: (text: string) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  return (
    <>
      <input
        ref={input}
        aria-label={hint.text}
        value={query}
        onChange={(event) => onQuery(event.target.value)}
        className="rounded-lg outline-none"
        style={{
          ...placeOf(search),
          paddingInline: hint.x - search.x,
          fontSize: hint.size,
          background: 'color-mix(in srgb, var(--ink) 8%, transparent)',
          color: 'var(--ink)',
        }}
      />
      {query === '' && (
        <div className="pointer-events-none absolute inset-0">
          <Runs runs={[hint]} />
        </div>
      )}
    </>
  );
}

function Rows({
  list: { rows, rowHeight },
  shown,
  index,
  onPoint,
}: {
  list: SceneAppList;
  shown: readonly Entry[];
  index: number;
  onPoint: (index: number) => void;
}) {
  const actions = useContext(Actions);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    box.current?.children[index]?.scrollIntoView({ block: 'nearest' });
  }, [index, shown]);
  return (
    <div ref={box} className="overflow-y-auto overflow-x-hidden" style={placeOf(rows)}>
      {shown.map((entry, row) => (
        <button
          key={entry.id}
          type="button"
          onClick={() => actions?.start(entry.id)}
          onPointerEnter={() => onPoint(row)}
          className="relative block w-full overflow-hidden rounded-lg"
          style={{
            height: rowHeight,
            background: row === index ? 'color-mix(in srgb, var(--accent) 26%, transparent)' : undefined,
          }}
        >
          <span style={placeOf(entry.icon.rect)}>
            <ApplicationIcon application={entry.id} name={entry.icon.name} size={entry.icon.rect.width} />
          </span>
          <Runs runs={entry.runs} />
        </button>
      ))}
    </div>
  );
}
