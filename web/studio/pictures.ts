import { toast } from 'sonner';
import { edits } from '../../core/desk/edits.ts';
import { api } from '../api/client.ts';
import { presentDesk, useDesk } from '../stores/desk.ts';
import { useView } from '../stores/view.ts';

/** What the server takes, for file dialogs. */
export const PICTURE_TYPES = 'image/png,image/jpeg,image/webp,image/avif';

/** Makes a file from this machine the backdrop. Says what is wrong when it can't be; the desk is then unchanged. */
export async function takePicture(file: File): Promise<void> {
  const id = presentDesk()?.id;
  const work = api.addPicture(file).then((picture) => {
    // Somebody may have gone to another desk meanwhile.
    if (presentDesk()?.id !== id) return picture;
    useDesk.getState().edit('Backdrop', (draft) =>
      edits.setBackdrop(draft, {
        kind: 'picture',
        picture: picture.id,
        name: picture.name,
        focal: { x: 0.5, y: 0.5 },
      }),
    );
    useView.getState().goToChapter('backdrop');
    const widest = Math.max(
      ...(presentDesk()?.screens.map((screen) => screen.width * screen.scaleFactor) ?? [0]),
    );
    if (picture.width < widest) {
      toast.warning(
        `This picture is ${picture.width} px wide; the screen has ${Math.round(widest)}. It will look soft.`,
      );
    }
    return picture;
  });
  toast.promise(work, {
    loading: `Taking in ${file.name}…`,
    success: (picture) => `${picture.name} is the backdrop (${picture.width} × ${picture.height})`,
    error: (error: Error) => `${file.name}: ${error.message}`,
  });
  await work.catch(() => {});
}
