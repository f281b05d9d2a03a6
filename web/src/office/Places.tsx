import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, put } from '../api/client';
import type { Places as All } from '../api/types';
import { Section } from './parts/Section';
import { Back, useChange } from './office';

const PLACES = '/api/office/places';
type Kind = keyof All;

/** Teams and sites, each with how many are there; whoever is in one goes with its name. */
export function Places() {
  const { t } = useTranslation();
  const all = useQuery({ queryKey: ['office', 'places'], queryFn: () => get<All>(PLACES) }).data;
  return (
    <Section id="places" title={t('office.places.title')} about={t('office.places.about')}>
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {all &&
          (['teams', 'sites'] as const).map((kind) => <Kinds key={kind} kind={kind} all={all} />)}
      </div>
    </Section>
  );
}

function Kinds({ kind, all }: { kind: Kind; all: All }) {
  const { t } = useTranslation();
  const [writing, setWriting] = useState('');
  return (
    <div>
      <h3 className="font-bold">{t(`office.places.${kind}`)}</h3>
      <ul aria-label={t(`office.places.${kind}`)}>
        {all[kind].map((place) => (
          <li key={place.name} className="border-base-300 border-b py-1.5">
            {writing === place.name ? (
              <Rename kind={kind} place={place.name} all={all} onClose={() => setWriting('')} />
            ) : (
              <span className="flex items-center gap-3">
                <span className="min-w-0 flex-1 truncate">{place.name}</span>
                <span className="quiet">{t('office.places.people', { count: place.people })}</span>
                <button
                  type="button"
                  className="btn btn-xs btn-plain"
                  aria-label={t('office.places.renameThis', { name: place.name })}
                  onClick={() => setWriting(place.name)}
                >
                  {t('office.places.rename')}
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** One has asked to write there. */
const focus = (input: HTMLInputElement | null) => input?.focus();

interface Props {
  kind: Kind;
  place: string;
  all: All;
  onClose: () => void;
}

/** Another name; that of another one makes both one, which is said before and cannot be taken apart again. */
function Rename({ kind, place, all, onClose }: Props) {
  const { t } = useTranslation();
  const { change, error, busy } = useChange(onClose);
  const [text, setText] = useState(place);
  const becomes = text.trim();
  const other = all[kind].find(
    ({ name }) => name !== place && name.toLowerCase() === becomes.toLowerCase(),
  );
  const keep = (name: string, next: string) => put(`${PLACES}/${kind}`, { name, becomes: next });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void change(async () => {
          await keep(place, becomes);
          return other || !becomes
            ? undefined
            : new Back('registerKept', becomes, () => keep(becomes, place));
        });
      }}
    >
      <span className="flex flex-wrap items-center gap-2">
        <input
          ref={focus}
          aria-label={t('office.places.newName', { name: place })}
          value={text}
          maxLength={80}
          required={kind === 'teams'}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          className="input input-sm bg-base-100 min-w-0 flex-1"
        />
        <button type="submit" className="btn btn-sm btn-primary" aria-disabled={busy}>
          {t('office.keep')}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={onClose}>
          {t('office.cancel')}
        </button>
      </span>
      {other && (
        <p className="mt-1">{t('office.places.one', { name: place, other: other.name })}</p>
      )}
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
    </form>
  );
}
