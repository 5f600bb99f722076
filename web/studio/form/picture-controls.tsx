import { FolderOpen } from 'lucide-react';
import type { FC } from 'react';
import { iconNames, titleOfSign } from '../../../core/icons/names.ts';
import { isOwn } from '../../../core/values/family.ts';
import { ownIconAddress } from '../../api/addresses.ts';
import { SelectField } from '../../ui/choice.tsx';
import { FileButton, FilesButton } from '../../ui/file-button.tsx';
import { takeOwnIcon } from '../pictures/own-icon.ts';
import { PICTURE_TYPES, takePicture } from '../pictures/pictures.ts';
import { taking, type ControlProps } from './control.ts';
import { sentenceFor } from './schema.ts';

/** A picture from this machine; its name goes with it. */
export const PictureControl: FC<ControlProps> = (props) => (
  <div>
    <FileButton
      label={`${props.label} file`}
      accept={PICTURE_TYPES}
      onFile={(chosen) => void takePicture(chosen, ({ picture, name }) => taking(props)(picture, { name }))}
    >
      <FolderOpen size={15} /> {props.value ? 'Another picture…' : 'A picture of yours…'}
    </FileButton>
    <p className="mt-1 text-[12px] text-dust">PNG, JPEG, WebP, AVIF, GIF; or drop one on the stage.</p>
  </div>
);

/** A mark of the desk's set, or a small picture of one's own. */
export const OwnPictureControl: FC<ControlProps> = (props) => (
  <div className="grid w-full gap-1">
    <SelectField
      label={props.label}
      value={isOwn(String(props.value)) ? '' : String(props.value)}
      placeholder={isOwn(String(props.value)) ? 'One of yours' : 'Choose a mark'}
      choices={(isOpen) =>
        iconNames
          .filter((name) => isOpen || name === props.value)
          .map((name) => ({ value: name as string, label: titleOfSign(name) }))
      }
      onChange={taking(props)}
    />
    <FileButton
      label={`${props.label} file`}
      accept="image/svg+xml,image/png"
      onFile={(file) => void takeOwnIcon(file, 'The item', taking(props))}
    >
      <FolderOpen size={15} /> SVG or PNG of yours…
    </FileButton>
  </div>
);

/** Pictures of one's own in their order, each with a way to take it off. */
export const PhotosControl: FC<ControlProps> = (props) => {
  const pictures = props.value as readonly string[];
  const take = taking(props);
  async function add(files: readonly File[]): Promise<void> {
    const added: string[] = [];
    for (const file of files) {
      await takePicture(file, ({ picture }) => added.push(`own:${picture}`));
    }
    if (added.length === 0) return;
    const next = [...pictures, ...added];
    const wrong = sentenceFor(props.shape, next);
    props.onError(wrong && 'Not taken: there are more pictures than it can show.');
    if (!wrong) take(next);
  }
  return (
    <div className="grid w-full gap-1.5">
      <div className="grid grid-cols-4 gap-1.5">
        {pictures.map((id, index) => (
          <button
            key={`${id} ${index}`}
            type="button"
            aria-label={`Take picture ${index + 1} off`}
            data-tip="Take it off"
            className="group relative aspect-square overflow-hidden rounded-lg bg-pit"
            onClick={() => take(pictures.filter((_, at) => at !== index))}
          >
            <img src={ownIconAddress(id)} alt="" className="size-full object-cover group-hover:opacity-50" />
          </button>
        ))}
      </div>
      <FilesButton
        label={`${props.label} files`}
        accept={PICTURE_TYPES}
        multiple
        onFiles={(files) => void add(files)}
      >
        <FolderOpen size={15} /> {pictures.length > 0 ? 'More pictures…' : 'Pictures of yours…'}
      </FilesButton>
    </div>
  );
};
