import { Bookmark, MapPin, Search, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import clsx from 'clsx';
import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { readCoordinates, writeCoordinates, type Coordinates } from '../../../core/places/coordinates.ts';
import { placesLike } from '../../../core/places/places.ts';
import { zoneAt } from '../../../core/places/zone.ts';
import { GeoPlace } from '../../../core/values/earth.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { toast } from '../../ui/toast.ts';
import { isKnown, useOwnPlaces } from './own-places.ts';
import { box } from '../../ui/box.ts';
import { Fields } from '../form/form.tsx';
import { EarthMap } from './earth-map.tsx';

/** How many of our places are offered at once. */
const MOST_OFFERED = 6;

/** Where the desk is: typed as coordinates or found by name, pressed on a map, or set field by field. */
export default function PlaceOnEarth() {
  const place = useDesk((state) => state.history?.present.place);
  const moment = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const { turn, edit, endGesture } = useDesk.getState();
  if (!place) return null;
  /** To a place, with the time zone that is there. */
  const goTo = (where: Coordinates, name: string) =>
    edit(named(`Place: ${name}`, edits.setPlaceOnEarth({ ...place, ...where, name, zone: zoneAt(where) })));
  return (
    <div className="grid gap-4">
      <EarthMap moment={moment} place={place} onPress={(where) => goTo(where, writeCoordinates(where))} />
      <Finder onFound={goTo} />
      <div className="grid gap-1.5">
        <Fields
          schema={GeoPlace}
          values={place}
          onTurn={(change) => turn(edits.setPlaceOnEarth({ ...place, ...change }))}
          onEnd={endGesture}
        />
      </div>
      <Kept place={place} onChosen={goTo} />
    </div>
  );
}

/** Places of one's own: this one is kept by its name, and those that were are gone to or forgotten. */
function Kept({
  place,
  onChosen,
}: {
  place: GeoPlace;
  onChosen: (where: Coordinates, name: string) => void;
}) {
  const { own, keep, forget } = useOwnPlaces();
  const canKeep = place.name.trim() !== '' && !isKnown(place, own);
  return (
    <div className="grid justify-items-start gap-1.5">
      {canKeep && (
        <Button
          onClick={() => keep(place) || toast.warning('A hundred places are kept already; forget one first.')}
        >
          <Bookmark size={15} /> Keep {place.name} among my places
        </Button>
      )}
      {own.length > 0 && (
        <ul className="grid w-full gap-0.5" aria-label="My places">
          {own.map((one) => (
            <li key={one.name} className="flex items-center gap-1">
              <button
                type="button"
                className="flex h-8 min-w-0 flex-1 items-center justify-between gap-2 rounded-lg px-2 text-left hover:bg-nap"
                onClick={() => onChosen(one, one.name)}
              >
                <span className="truncate">{one.name}</span>
                <span className="shrink-0 font-mono text-[12px] text-dust">{writeCoordinates(one)}</span>
              </button>
              <IconButton label={`Forget ${one.name}`} onClick={() => forget(one.name)}>
                <X size={14} />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** One field for coordinates in any usual way, and for names of places. */
function Finder({ onFound }: { onFound: (where: Coordinates, name: string) => void }) {
  const [text, setText] = useState('');
  const [isRefused, setRefused] = useState(false);
  const own = useOwnPlaces((state) => state.own);
  const found = useMemo(() => placesLike(text, own), [text, own]);
  const read = useMemo(() => readCoordinates(text), [text]);
  const offered = text.trim() === '' ? [] : found.slice(0, MOST_OFFERED);
  const isFigures = /\d/.test(text);

  function take(): void {
    const [first] = offered;
    if (read.ok) onFound(read, writeCoordinates(read));
    else if (first && !isFigures) onFound(first, first.name);
    else return setRefused(text.trim() !== '');
    setText('');
    setRefused(false);
  }

  return (
    <div className="grid gap-1.5">
      <label className="relative block">
        <Search size={15} className="pointer-events-none absolute left-2.5 top-2 text-dust" aria-hidden />
        <input
          aria-label="Coordinates or a name"
          placeholder="54.61, −1.04 · 54°36′N 1°2′W · Marrow Point"
          value={text}
          maxLength={200}
          onChange={(event) => {
            setText(event.target.value);
            setRefused(false);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            take();
          }}
          className={clsx(box, 'h-8 w-full pl-8')}
        />
      </label>
      {read.ok && <Offer title={writeCoordinates(read)} note={zoneAt(read)} onPress={() => take()} isFirst />}
      {!isFigures &&
        offered.map((one, index) => (
          <Offer
            key={`${one.name} ${one.latitude} ${one.longitude}`}
            title={one.name}
            note={writeCoordinates(one)}
            isFirst={index === 0}
            onPress={() => {
              onFound(one, one.name);
              setText('');
            }}
          />
        ))}
      {text.trim() !== '' && !isFigures && offered.length === 0 && (
        <p role="alert" className="text-[12px] text-rust">
          No place of that name is known here. Coordinates find any.
        </p>
      )}
      {isFigures && !read.ok && (
        <p
          role={isRefused ? 'alert' : undefined}
          className={clsx('text-[12px]', isRefused ? 'text-rust' : 'text-dust')}
        >
          {read.sentence}
        </p>
      )}
    </div>
  );
}

function Offer({
  title,
  note,
  isFirst,
  onPress,
}: {
  title: string;
  note: string;
  isFirst: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="flex h-8 items-center gap-2 rounded-lg bg-nap px-2.5 text-left hover:outline hover:outline-brass/70"
    >
      <MapPin size={14} className="shrink-0 text-dust" aria-hidden />
      <span className="font-medium">{title}</span>
      <span className="ml-auto truncate text-[12px] text-dust">{note}</span>
      {isFirst && <kbd className="font-mono text-[11px] text-dust">Enter</kbd>}
    </button>
  );
}
