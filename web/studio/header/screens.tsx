import { nanoid } from 'nanoid';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { Screens, type Screen } from '../../../core/desk/shapes/screens.ts';
import { right, type Point } from '../../../core/values/geometry.ts';
import { useDesk } from '../../session/desk.ts';
import { useScene } from '../../session/scene.ts';
import { useScreenInView } from '../../stores/screen.ts';
import { useView } from '../../stores/view.ts';
import { RecordRows } from '../form/record-rows.tsx';
import { ScreenMap } from './screen-map.tsx';

const moved = (id: string, to: Point) => named('Move screen', edits.setScreen(id, to));

/** The screens of a desk: size, scale factor, and where each stands beside the others. */
export function ScreensSheet() {
  const screens = useDesk((state) => state.history?.present.screens) ?? [];
  const current = useScreenInView();
  const { edit, turn, endGesture } = useDesk.getState();

  function add() {
    const screen: Screen = {
      id: nanoid(8),
      name: `Screen ${screens.length + 1}`,
      width: 1920,
      height: 1080,
      scaleFactor: 1,
      x: Math.max(...screens.map(right)),
      y: 0,
    };
    edit(edits.addScreen(screen));
    useView.getState().showScreen(screen.id);
  }

  function remove(id: string) {
    const scene = useScene.getState().scene?.screens.find((screen) => screen.id === id);
    edit(named('Remove screen', edits.remove([id, ...(scene?.widgets.map((widget) => widget.id) ?? [])])));
  }

  return (
    <div className="grid gap-3">
      <ScreenMap
        screens={screens}
        current={current?.id ?? ''}
        onMove={(id, to) => edit(moved(id, to))}
        onStep={(id, to) => turn(moved(id, to))}
        onPress={(id) => useView.getState().showScreen(id)}
      />
      <RecordRows
        list={Screens}
        one="Screen"
        entries={screens}
        columns="1.6fr 1fr 1fr .8fr 1fr 1fr"
        onTurn={(id, change) => turn(edits.setScreen(id, change))}
        onEnd={endGesture}
        onAdd={add}
        onRemove={remove}
      />
    </div>
  );
}
