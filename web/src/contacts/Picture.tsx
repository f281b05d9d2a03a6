import { useTranslation } from 'react-i18next';
import type { ContactRow } from '../api/types';
import { dropPicture, putPicture } from './contacts';

/** The picture on a card, put there and taken away. */
export function Picture({ contact }: { contact: ContactRow }) {
  const { t } = useTranslation();
  const { id, title, picture } = contact;
  return (
    <div className="flex flex-col items-start gap-1">
      {picture && (
        <img
          src={`/api/contacts/${id}/picture`}
          alt={t('contacts.pictureOf', { name: title })}
          className="border-base-300 max-h-24 max-w-24 rounded border"
        />
      )}
      {picture ? (
        <button type="button" className="btn btn-xs btn-plain" onClick={() => void dropPicture(id)}>
          {t('contacts.dropPicture')}
        </button>
      ) : (
        <label className="btn btn-xs btn-plain focus-within:outline-2">
          {t('contacts.picture')}
          <input
            type="file"
            accept="image/jpeg,image/png,image/gif"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                void putPicture(id, file);
              }
            }}
          />
        </label>
      )}
    </div>
  );
}
