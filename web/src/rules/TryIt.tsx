import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { sentence } from '../api/client';
import type { StationView, TrialView } from '../api/types';
import { nameOf } from '../calls/order';
import { useLines } from '../lines/lines';
import { useMe } from '../session/session';
import { tryIt } from './rules';
import { MomentField } from '../words/MomentField';

const GIVEN = [
  'AS_IT_IS',
  'THERE',
  'ON_A_CALL',
  'NOT_THERE',
  'DECLINES',
  'DO_NOT_DISTURB',
  'OFF_DUTY',
] as const;

interface Props {
  trial?: TrialView;
  onTried: (trial?: TrialView) => void;
}

/** Tries a call: the way lights up, each station with its reason. No telephone rings. */
export function TryIt({ trial, onTried }: Props) {
  const { t } = useTranslation();
  const me = useMe();
  const lines = useLines();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const text = (name: string) => String(typed.get(name) ?? '');
    try {
      onTried(
        await tryIt({
          caller: text('caller').trim(),
          called: text('called'),
          when: text('when') || undefined,
          given: text('given'),
        }),
      );
      setError('');
    } catch (problem) {
      onTried(undefined);
      setError(sentence(problem));
    }
  }

  return (
    <section
      aria-label={t('tryIt.title')}
      className="sheet min-h-0 overflow-y-auto px-5 py-4 lg:max-h-full"
    >
      <h2 className="text-lg font-bold">
        {t('tryIt.title')} <span className="quiet text-sm font-normal">{t('tryIt.quiet')}</span>
      </h2>
      <form className="mt-2 flex flex-col gap-2" onSubmit={(event) => void submit(event)}>
        <label className="text-sm">
          {t('tryIt.who')}
          <input
            type="text"
            name="caller"
            maxLength={40}
            placeholder={t('tryIt.whoHint')}
            className="input bg-base-100 block w-full"
          />
        </label>
        <label className="text-sm">
          {t('tryIt.number')}
          <input
            type="text"
            name="called"
            required
            maxLength={40}
            list="numbers-to-try"
            defaultValue={me.extension}
            className="input bg-base-100 block w-full"
          />
        </label>
        <datalist id="numbers-to-try">
          <option value={me.extension}>{t('tryIt.own', { extension: me.extension })}</option>
          {lines
            .filter((each) => each.mine)
            .map((each) => (
              <option key={each.id} value={each.extension}>
                {each.name}
              </option>
            ))}
        </datalist>
        <label className="flex flex-col text-sm">
          {t('tryIt.when')}
          <MomentField name="when" moment="" look="w-full" />
        </label>
        <label className="text-sm">
          {t('tryIt.given.label')}
          <select name="given" className="select mt-0.5 flex w-full">
            {GIVEN.map((each) => (
              <option key={each} value={each}>
                {t(`tryIt.given.${each}`)}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="btn btn-primary self-start">
          {t('tryIt.go')}
        </button>
      </form>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      {trial && <Way trial={trial} />}
    </section>
  );
}

function Way({ trial }: { trial: TrialView }) {
  const { t } = useTranslation();
  if (trial.refused) {
    return (
      <p role="status" className="mt-3 font-semibold">
        {t('tryIt.refused')}
      </p>
    );
  }
  return (
    <div role="status">
      <ol aria-label={t('tryIt.way')} className="mt-3 flex flex-col gap-2">
        {trial.stations.map((station, index) => (
          <li
            key={index}
            className={`border-l-4 py-0.5 pl-3 ${station.kind === 'NOT_TAKEN' ? 'border-base-300' : 'border-primary'}`}
          >
            <StationText station={station} />
          </li>
        ))}
        {trial.told && (
          <li className="border-error border-l-4 py-0.5 pl-3 font-semibold">
            {t('tryIt.told', { why: t(`tryIt.why.${trial.told}`) })}
          </li>
        )}
      </ol>
    </div>
  );
}

function StationText({ station }: { station: StationView }) {
  const { t } = useTranslation();
  const { kind, at, situation, to, seconds, rule } = station;
  const group = at.kind === 'GROUP';
  const name = nameOf(at, '');
  const about = {
    at: name,
    case: situation ? t(`rules.${group ? 'caseLine' : 'case'}.${situation}`) : '',
    to: to.map((each) => nameOf(each, '')).join(', '),
    seconds,
  };
  const tells = kind !== 'MAILBOX' && kind !== 'GOES_OUT' && kind !== 'NOT_TAKEN' && name !== '';
  return (
    <>
      <p className={kind === 'NOT_TAKEN' ? 'quiet' : 'font-semibold'}>
        {t(`tryIt.station.${kind}`, about)}
      </p>
      {tells && <p className="quiet text-sm">{t('tryIt.at', { name })}</p>}
      {rule && (
        <Link
          className="link text-sm"
          to={kind === 'BLOCKED' ? '/rules?blocked=1' : `/rules?rule=${rule}`}
        >
          {t('tryIt.openRule')}
        </Link>
      )}
    </>
  );
}
