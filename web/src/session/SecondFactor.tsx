import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, post, sentence } from '../api/client';
import type { SecondFactorView } from '../api/types';
import { dayAndTime } from '../words/time';
import { Field } from './Field';
import { Squares } from './Squares';
import words from './words.view.en.json';
import { addWords } from '../words';

addWords(words);

const FACTOR = '/api/session/second-factor';

interface Begun {
  secret: string;
  address: string;
}

/**
 * A second factor step by step: the password as proof, the picture for one's telephone and a code of it, the codes for
 * paper.
 */
export function SecondFactor({ onAdded }: { onAdded: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const own = useQuery({
    queryKey: ['second-factor'],
    queryFn: () => get<SecondFactorView>(FACTOR),
    staleTime: 0,
  }).data;
  const [begun, setBegun] = useState<Begun>();
  const [paper, setPaper] = useState<string[]>();
  const [error, setError] = useState('');

  async function step(action: () => Promise<void>) {
    setError('');
    try {
      await action();
      await queries.invalidateQueries({ queryKey: ['second-factor'] });
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  const present = (event: FormEvent<HTMLFormElement>) => ({
    present: String(new FormData(event.currentTarget).get('present')),
  });
  const alert = (
    <div role="alert" className="min-h-7">
      {error && <p className="text-error font-semibold">{error}</p>}
    </div>
  );

  if (!own) {
    return null;
  }
  if (paper) {
    return (
      <>
        <p className="font-semibold">{t('factor.paper')}</p>
        <p className="quiet">{t('factor.paperHow')}</p>
        <ol className="my-3 grid list-inside list-decimal grid-cols-2 gap-x-6 tabular-nums">
          {paper.map((each) => (
            <li key={each}>{each.replace(/(.{4})(?=.)/g, '$1-')}</li>
          ))}
        </ol>
        <button type="button" className="btn btn-primary" onClick={onAdded}>
          {t('factor.written')}
        </button>
      </>
    );
  }
  if (begun) {
    return (
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const code = String(new FormData(event.currentTarget).get('code'));
          void step(async () =>
            setPaper((await post<{ recoveryCodes: string[] }>(FACTOR, { code })).recoveryCodes),
          );
        }}
      >
        <p>{t('factor.scan')}</p>
        <div className="my-3 flex flex-wrap items-center gap-4">
          <Squares text={begun.address} label={t('factor.picture')} />
          <p className="max-w-56">
            {t('factor.orType')}
            <span className="mt-1 block font-semibold break-all">
              {begun.secret.replace(/(.{4})(?=.)/g, '$1 ')}
            </span>
          </p>
        </div>
        <Field name="code" label={t('factor.code')} autoComplete="one-time-code" focused />
        {alert}
        <button type="submit" className="btn btn-primary">
          {t('factor.confirm')}
        </button>
      </form>
    );
  }
  return (
    <>
      {own.since && (
        <p>{t('factor.on', { since: dayAndTime(own.since), count: own.recoveryCodes })}</p>
      )}
      {!own.since && !own.wanted && <p>{t('factor.off')}</p>}
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault();
          const proof = present(event);
          void step(async () => setBegun(await post<Begun>(`${FACTOR}/begin`, proof)));
        }}
      >
        <Field
          name="present"
          label={t('factor.present')}
          type="password"
          autoComplete="current-password"
        />
        {alert}
        <p className="flex flex-wrap gap-2">
          <button type="submit" className="btn btn-primary">
            {t(own.since ? 'factor.anew' : 'factor.begin')}
          </button>
          {own.since && !own.wanted && (
            <button
              type="button"
              className="btn btn-plain"
              onClick={(event) => {
                const form = event.currentTarget.form as HTMLFormElement;
                const typed = String(new FormData(form).get('present'));
                void step(() => post(`${FACTOR}/end`, { present: typed }));
              }}
            >
              {t('factor.end')}
            </button>
          )}
        </p>
      </form>
    </>
  );
}
