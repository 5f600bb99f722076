import { useContext } from 'react';
import type { HeadlinesLayout, HeadlinesView } from '../../../../core/widgets/headlines/work.ts';
import { Actions } from '../../actions.ts';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: HeadlinesView;
  layout: HeadlinesLayout;
}

/** Marks before the headlines; in use, those that stand somewhere are opened by pressing them. */
function Marks({ view, layout: { marks, links } }: Props) {
  const actions = useContext(Actions);
  return (
    <>
      {marks.map((rect, index) => (
        <div
          key={index}
          style={{ ...placeOf(rect), background: paint(view.colour) }}
          className="rotate-45 rounded-[2px]"
        />
      ))}
      {actions &&
        links.map(({ rect, link, title }, index) => (
          <button
            key={index}
            type="button"
            aria-label={title}
            style={placeOf(rect)}
            className="panel-press z-10 rounded-md"
            onClick={() => actions.openLink(title, link)}
          />
        ))}
    </>
  );
}

export const faces = { list: Marks, one: Marks, passing: Marks };
