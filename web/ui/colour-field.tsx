import clsx from 'clsx';
import { Popover } from 'radix-ui';
import { Pipette } from 'lucide-react';
import { Suspense, useContext, useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { paletteOf } from '../../core/colour/look.ts';
import type { RoleValues } from '../../core/colour/roles.ts';
import { isRole, roleTitles, roles as roleNames, type Colour } from '../../core/values/roles.ts';
import { later } from '../later.ts';
import { PickFromStage } from './pick-from-stage.ts';

/** Reading all writings of colours comes with the first picker. */
const ColourText = later(async () => ({ default: (await import('./colour-text.tsx')).ColourText }));

/** A colour of the desk: a role, or a one-off colour, which is marked as one. */
export function ColourField({
  label,
  value,
  roles,
  onTurn,
  onEnd,
}: {
  label: string;
  /** Null where several things have different ones. */
  value: Colour | null;
  roles: RoleValues;
  /** `opacity` is how much of it was written, 0 to 1. */
  onTurn: (colour: Colour, opacity?: number) => void;
  onEnd: () => void;
}) {
  const palette = paletteOf(roles);
  const isOneOff = value !== null && !isRole(value);
  const take = (colour: Colour) => {
    onTurn(colour);
    onEnd();
  };
  return (
    <div className="@container w-full" role="group" aria-label={label}>
      <div className="grid grid-cols-[repeat(4,24px)] gap-1.5 @min-[234px]:grid-cols-[repeat(8,24px)]">
        {roleNames.slice(0, 7).map((role) => (
          <button
            key={role}
            type="button"
            aria-label={`${label}: ${roleTitles[role]}`}
            aria-pressed={value === role}
            title={roleTitles[role]}
            onClick={() => take(role)}
            className={clsx(
              'size-6 rounded-md border border-seam',
              value === role && 'outline-2 outline-offset-1 outline-brass outline',
            )}
            style={{ background: palette.roles[role] }}
          />
        ))}
        <PickerButton
          label={`${label}: one-off colour`}
          colour={palette.colour(value ?? 'surface')}
          isMarked={isOneOff}
          onTurn={onTurn}
          onEnd={onEnd}
        />
      </div>
    </div>
  );
}

/** Opens a picker for one fixed colour. */
export function PickerButton({
  label,
  colour,
  isMarked,
  onTurn,
  onEnd,
  wide = false,
  isFilling = false,
}: {
  label: string;
  /** #rrggbb */
  colour: string;
  isMarked: boolean;
  onTurn: (colour: string, opacity?: number) => void;
  onEnd: () => void;
  wide?: boolean;
  /** As wide as there is room. */
  isFilling?: boolean;
}) {
  const [isOpen, setOpen] = useState(false);
  const pick = useContext(PickFromStage);
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(next) => {
        setOpen(next);
        if (!next) onEnd();
      }}
    >
      <Popover.Trigger
        aria-label={label}
        title={label}
        className={clsx(
          'relative h-6 shrink-0 rounded-md border border-dashed border-dust',
          wide ? `border-solid border-seam ${isFilling ? 'w-full' : 'w-11'}` : 'w-6',
          isMarked && !wide && 'outline-2 outline-offset-1 outline-brass outline',
        )}
        style={{ background: wide || isMarked ? colour : 'transparent' }}
      >
        {!wide && !isMarked && <span className="text-[13px] leading-none text-dust">+</span>}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={10}
          collisionPadding={12}
          className="z-50 grid w-56 gap-2.5 rounded-xl border border-seam bg-nap p-3 shadow-2xl"
        >
          <HexColorPicker
            color={colour}
            onChange={(next) => onTurn(next)}
            style={{ width: '100%', height: 150 }}
          />
          {pick && (
            <button
              type="button"
              className="inline-flex items-center gap-1.5 justify-self-start text-[12px] text-brass hover:underline"
              onClick={() => {
                setOpen(false);
                pick(label, (next) => {
                  onTurn(next);
                  onEnd();
                });
              }}
            >
              <Pipette size={13} /> pick from the stage
            </button>
          )}
          <Suspense fallback={<div className="h-8" />}>
            <ColourText
              label={`${label}, as text`}
              colour={colour}
              onTake={(next, opacity) => {
                onTurn(next, opacity);
                onEnd();
              }}
            />
          </Suspense>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
