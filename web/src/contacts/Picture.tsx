import type { ContactRow } from '../api/types';
import { PictureFile } from '../ui/PictureFile';
import { dropPicture, putPicture } from './contacts';

/** The picture on a card, put there and taken away. */
export function Picture({ contact }: { contact: ContactRow }) {
  const { id, title, picture } = contact;
  return (
    <div className="flex flex-col items-start gap-1">
      <PictureFile
        name={title}
        src={picture ? `/api/contacts/${id}/picture` : undefined}
        className="max-h-24 max-w-24"
        onPut={(file) => void putPicture(id, file)}
        onDrop={() => void dropPicture(id)}
      />
    </div>
  );
}
