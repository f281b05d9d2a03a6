import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { GroupChange } from '../api/types';

interface Props {
  /** Those it is in now; the favourites have no name. */
  names: string[];
  onChange: (change: GroupChange) => void;
  look: string;
}

const namesIn = (text: string) =>
  text
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean);

const FAVOURITES = [''];

/** Into which of my own groups somebody is put; nobody else sees them. */
export function OwnGroups({ names, onChange, look }: Props) {
  const { t } = useTranslation();
  const named = names.filter(Boolean);
  const favourite = names.includes('');
  // What is typed changes those that stood there when typing began, and no others.
  const [typing, setTyping] = useState<{ text: string; from: string[] } | null>(null);
  const text = typing?.text ?? named.join(', ');
  const wanted = namesIn(text);
  const into = wanted.filter((name) => !named.includes(name));
  const outOf = typing
    ? typing.from.filter((name) => named.includes(name) && !wanted.includes(name))
    : [];
  const pending = into.length > 0 || outOf.length > 0;
  return (
    <div className={`flex flex-wrap items-end gap-x-3 gap-y-1.5 ${look}`}>
      <button
        type="button"
        aria-pressed={favourite}
        className={`btn btn-sm ${favourite ? 'btn-primary' : 'btn-plain'}`}
        onClick={() =>
          onChange(favourite ? { into: [], outOf: FAVOURITES } : { into: FAVOURITES, outOf: [] })
        }
      >
        {t('ownGroups.favourite')}
      </button>
      <label className="quiet min-w-40 flex-1 text-sm">
        {t('ownGroups.groups')}
        <input
          type="text"
          maxLength={200}
          value={text}
          onChange={(event) => setTyping({ text: event.target.value, from: typing?.from ?? named })}
          onBlur={() => !pending && setTyping(null)}
          className="input input-sm bg-base-100 text-base-content mt-1 block w-full"
        />
      </label>
      {pending && (
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() => {
            onChange({ into, outOf });
            setTyping({ text, from: wanted });
          }}
        >
          {t('ownGroups.keep')}
        </button>
      )}
    </div>
  );
}
