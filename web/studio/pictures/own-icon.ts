import { api } from '../../api/client.ts';
import { presentDesk } from '../../session/desk.ts';
import { toast } from '../../ui/toast.ts';

/** Takes a picture file as the icon of an application, if its desk is still the one that is open by then. */
export async function takeOwnIcon(file: File, name: string, take: (icon: string) => void): Promise<void> {
  const desk = presentDesk()?.id;
  const work = api.addIcon(file).then((picture) => {
    if (presentDesk()?.id === desk) take(`own:${picture.id}`);
  });
  toast.promise(work, {
    loading: `Drawing ${file.name}…`,
    success: `${name} has an icon of yours.`,
    error: (error: Error) => `${file.name}: ${error.message}`,
  });
  await work.catch(() => {});
}
