import { memo, useContext } from 'react';
import type { SceneIcon } from '../../../core/scene/scene.ts';
import { plateAround } from '../../../core/scene/sections/texts.ts';
import { Actions } from '../actions.ts';
import { ApplicationIcon } from '../kit/icons.tsx';
import { Press } from '../kit/press.tsx';
import { Runs, placeOf } from '../kit/runs.tsx';
import { surfaceBox, surfaceColours } from '../kit/surface.ts';

/** Icons of applications on the bare desk: a press starts one. */
export const DesktopIcons = memo(function DesktopIcons({ icons }: { icons: readonly SceneIcon[] }) {
  const isInUse = useContext(Actions) !== null;
  return icons.map(({ id, application, name, icon, rect, surface, signSurface, sign, label }) => (
    <div
      key={id}
      data-desktop-icon={application}
      style={{
        ...placeOf(rect),
        ...surfaceColours(surface),
        pointerEvents: isInUse ? undefined : 'none',
      }}
    >
      <Press
        label={`Start ${name}`}
        onPress={(actions) => actions.start(application)}
        className="panel-press"
      >
        <span
          data-bare=""
          style={{
            ...placeOf(sign),
            ...surfaceColours(signSurface),
            filter: 'drop-shadow(0 2px 6px rgb(0 0 0 / .35))',
          }}
        >
          <ApplicationIcon application={application} name={icon} size={sign.width} />
        </span>
        {label && (
          <>
            <span
              style={{
                ...placeOf(plateAround(label.ink)),
                ...surfaceBox({ ...surface, radius: Math.min(surface.radius, 8) }),
              }}
            />
            <Runs runs={[label]} />
          </>
        )}
      </Press>
    </div>
  ));
});
