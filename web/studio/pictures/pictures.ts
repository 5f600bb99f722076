import { goToBackdrop } from '../chapters/backdrop/view.ts';
import { toast } from '../../ui/toast.ts';
import { createPicture } from '../../../core/desk/defaults.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { Picture, PlainSource } from '../../../core/backdrop/schema.ts';
import { api } from '../../api/client.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';

/** What the server takes, for file dialogs. */
export const PICTURE_TYPES = 'image/png,image/jpeg,image/webp,image/avif,image/gif';

/** Makes a picture the backdrop that lies on the screen in view. */
function becomeBackdrop(picture: PlainSource): void {
  const id = currentScreen()?.backdrop.id ?? null;
  useDesk.getState().edit(edits.setSource(id, picture));
  goToBackdrop(id);
}

/** Asks for a picture file and takes it. */
export function choosePicture(use: (picture: Picture) => void): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = PICTURE_TYPES;
  input.onchange = () => {
    const [file] = input.files ?? [];
    if (file) void takePicture(file, use);
  };
  input.click();
}

/**
 * Takes a picture file from this machine and hands it over. Says what is wrong when it can't be taken; the desk is then
 * unchanged.
 */
export async function takePicture(
  file: File,
  use: (picture: Picture) => void = becomeBackdrop,
): Promise<void> {
  const id = presentDesk()?.id;
  const work = api.addPicture(file).then((picture) => {
    // Somebody may have gone to another desk meanwhile.
    if (presentDesk()?.id === id) use(createPicture(picture.id, picture.name));
    return picture;
  });
  toast.promise(work, {
    loading: `Taking in ${file.name}…`,
    success: (picture) => `${picture.name} is here (${picture.width} × ${picture.height})`,
    error: (error: Error) => `${file.name}: ${error.message}`,
  });
  await work.catch(() => {});
}
