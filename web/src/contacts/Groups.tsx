import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { ContactView } from '../api/types';
import { keepGroups } from './contacts';

/** Into which of my own groups a contact is put; nobody else sees them. */
export function Groups({ contact }: { contact: ContactView }) {
  const { t } = useTranslation();
  const { id } = contact.row;
  const named = contact.groups.filter(Boolean);
  const favourite = contact.groups.includes('');
  const [text, setText] = useState(named.join(', '));
  const typed = text
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean);
  return (
    <div className="border-base-300 mt-4 flex flex-wrap items-end gap-3 border-t pt-3">
      <button
        type="button"
        aria-pressed={favourite}
        className={`btn btn-sm ${favourite ? 'btn-primary' : 'btn-plain'}`}
        onClick={() => void keepGroups(id, favourite ? named : ['', ...named])}
      >
        {t('contacts.favourite')}
      </button>
      <label className="quiet flex-1 text-sm">
        {t('contacts.groups')}
        <input
          type="text"
          maxLength={200}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="input input-sm bg-base-100 text-base-content block w-full min-w-40"
        />
      </label>
      {typed.join() !== named.join() && (
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() => void keepGroups(id, favourite ? ['', ...typed] : typed)}
        >
          {t('contacts.keepGroups')}
        </button>
      )}
    </div>
  );
}
