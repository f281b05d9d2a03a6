import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import type { ContactsPage, ContactView } from '../api/types';
import { useSettled } from '../live/useSettled';
import { bodyOf, change } from './contacts';

const TYPING_MS = 100;
const MOST = 5;

/** Adds a number to a card there is already. */
export function AddToCard({ number, onAdded }: { number: string; onAdded: (id: number) => void }) {
  const { t } = useTranslation();
  const [text, setText] = useState('');
  const [error, setError] = useState('');
  const wanted = useSettled(text.trim(), TYPING_MS);
  const { data } = useQuery({
    queryKey: ['contacts', 'existing', wanted],
    queryFn: () => get<ContactsPage>(`/api/contacts?${new URLSearchParams({ text: wanted })}`),
    enabled: wanted !== '',
  });
  const found = wanted === '' ? [] : (data?.contacts ?? []).slice(0, MOST);

  async function addTo(id: number) {
    try {
      const body = bodyOf(await get<ContactView>(`/api/contacts/${id}`));
      const numbers = [...body.numbers, { type: 'OTHER' as const, number, extension: '' }];
      await change(id, { ...body, numbers });
      onAdded(id);
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <section className="border-base-300 mt-5 border-t pt-4">
      <label className="block font-semibold">
        {t('contacts.existing', { number })}
        <input
          type="search"
          placeholder={t('contacts.existingSearch')}
          maxLength={100}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="input bg-base-100 mt-1 w-full font-normal"
        />
      </label>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <ul>
        {found.map((each) => (
          <li key={each.id} className="flex items-center gap-3 py-1">
            <span className="min-w-0 flex-1 truncate">
              <span className="font-semibold">{each.title}</span>{' '}
              <span className="quiet">{each.subtitle}</span>
            </span>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => void addTo(each.id)}
            >
              {t('contacts.addTo')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
