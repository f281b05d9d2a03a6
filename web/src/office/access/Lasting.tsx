import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, put } from '../../api/client';
import type { AccessBody } from '../../api/types';
import { Back, useChange } from '../office';
import { Field } from '../parts/Field';
import { FormFoot } from '../parts/Section';

const ACCESS = '/api/office/access';

/** Numbers of the form, with the least and most there can be. */
const NUMBERS = {
  shortestPassword: [8, 40],
  unusedHours: [1, 720],
  longestDays: [1, 365],
} as const satisfies Record<keyof AccessBody, [number, number]>;

const NAMES = Object.keys(NUMBERS) as (keyof AccessBody)[];

/** How long passwords have to be, and how long sign-ins last. */
export function Lasting() {
  const now = useQuery({
    queryKey: ['office', 'access'],
    queryFn: () => get<AccessBody>(ACCESS),
  }).data;
  return now ? <LastingForm key={JSON.stringify(now)} now={now} /> : null;
}

function LastingForm({ now }: { now: AccessBody }) {
  const { t } = useTranslation();
  const [shorter, setShorter] = useState(false);
  const { change, error, busy } = useChange();

  const typed = (form: HTMLFormElement) => {
    const fields = new FormData(form);
    return Object.fromEntries(NAMES.map((name) => [name, Number(fields.get(name))])) as AccessBody;
  };

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const then = typed(event.currentTarget);
    void change(async () => {
      await put(ACCESS, then);
      return new Back('registerKept', t('office.lasting.title'), () => put(ACCESS, now));
    });
  }

  return (
    <form
      aria-label={t('office.lasting.title')}
      className="border-base-300 mt-5 border-t pt-4"
      onSubmit={submit}
      onChange={(event) => {
        const then = typed(event.currentTarget);
        setShorter(then.unusedHours < now.unusedHours || then.longestDays < now.longestDays);
      }}
    >
      <h3 className="font-bold">{t('office.lasting.title')}</h3>
      <p className="quiet mb-2">{t('office.lasting.about')}</p>
      <div className="grid gap-3 sm:grid-cols-3">
        {NAMES.map((name) => (
          <Field
            key={name}
            name={name}
            type="number"
            label={t(`office.lasting.${name}`)}
            value={now[name]}
            between={NUMBERS[name]}
            required
          />
        ))}
      </div>
      {shorter && <p className="mt-2">{t('office.lasting.shorter')}</p>}
      <FormFoot error={error} busy={busy} keep={t('office.keep')} />
    </form>
  );
}
