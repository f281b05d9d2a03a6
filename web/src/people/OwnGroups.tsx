import { useState } from 'react';
import { useTranslation } from 'react-i18next';

interface Props {
  /** Those it is in now; the favourites have no name. */
  names: string[];
  onKeep: (names: string[]) => void;
  look: string;
}

/** In whichever order, and however often, they are named. */
const asKept = (names: string[]) => [...new Set(names)].sort().join();

/** Into which of my own groups somebody is put; nobody else sees them. */
export function OwnGroups({ names, onKeep, look }: Props) {
  const { t } = useTranslation();
  const named = names.filter(Boolean);
  const favourite = names.includes('');
  const [text, setText] = useState(named.join(', '));
  const typed = text
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean);
  return (
    <div className={`flex flex-wrap items-end gap-x-3 gap-y-1.5 ${look}`}>
      <button
        type="button"
        aria-pressed={favourite}
        className={`btn btn-sm ${favourite ? 'btn-primary' : 'btn-plain'}`}
        onClick={() => onKeep(favourite ? named : ['', ...named])}
      >
        {t('ownGroups.favourite')}
      </button>
      <label className="quiet min-w-40 flex-1 text-sm">
        {t('ownGroups.groups')}
        <input
          type="text"
          maxLength={200}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="input input-sm bg-base-100 text-base-content mt-1 block w-full"
        />
      </label>
      {asKept(typed) !== asKept(named) && (
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() => onKeep(favourite ? ['', ...typed] : typed)}
        >
          {t('ownGroups.keep')}
        </button>
      )}
    </div>
  );
}
