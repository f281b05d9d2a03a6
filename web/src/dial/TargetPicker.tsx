import { useCallback, useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { CallView } from '../api/types';
import { LIMITS, type Limit, meansMobile } from './choices';
import { nameOf } from '../calls/order';
import { type CallerId, type Unanswered, type Way, send } from '../calls/services';
import { callStore } from '../calls/store';
import { KeyCap } from '../ui/KeyCap';
import { useOnce } from '../live/useOnce';
import { useMe } from '../session/session';
import { CallerIdSelect } from './CallerIdSelect';
import { DialOption } from './DialOption';
import { useFinder } from './finder';
import { useSteps } from './steps';

interface Props {
  call: CallView;
  /** Whether somebody is to be added, and not the call to be sent on. */
  adding: boolean;
  /** Whom it begins with. */
  initial: string;
}

/** The strip has room for so many; whoever is not shown cannot be chosen. */
const MOST = 6;

/** Chooses whom to send a call to, in its strip; found and ranked as in the dial field. */
export function TargetPicker({ call, adding, initial }: Props) {
  const { t } = useTranslation();
  const id = useId();
  const [text, setText] = useState(initial);
  const [error, setError] = useState('');
  const [callerId, setCallerId] = useState<CallerId>();
  const [unanswered, setUnanswered] = useState<Unanswered>();
  const [only, setOnly] = useState<Limit>();
  const { wanted, options, hint, first, pick } = useFinder(text, MOST, useMe().id, only);
  const { step, chosen, number, stepBy, stepTo, reset } = useSteps(options, first);
  const ways = waysOf(call, adding);
  const name = nameOf(call.other, t('party.withheld'));

  useEffect(() => document.getElementById(`${id}-field`)?.focus(), [id]);

  const { run, busy } = useOnce(
    useCallback(
      async (way: Way, mailbox = false) => {
        if (wanted === '') {
          return;
        }
        try {
          const meant = await pick(step);
          if (!meant) {
            return;
          }
          const { to } = meant;
          const after = way === 'put-through' ? unanswered : undefined;
          await send(call, way, { to, callerId, mailbox, unanswered: after });
          callStore.closePanel();
        } catch (problem) {
          setError(sentence(problem));
        }
      },
      [call, wanted, step, pick, callerId, unanswered],
    ),
  );

  function pressed(event: KeyboardEvent<HTMLInputElement>) {
    if (stepBy(event)) {
      return;
    }
    if (event.key === 'Enter') {
      event.preventDefault();
      if (event.altKey && toMailbox) {
        void run(ways[0], true);
      } else {
        void run((event.shiftKey && ways[1]) || ways[0]);
      }
    } else if (event.key === 'Escape') {
      callStore.closePanel();
    }
  }

  const inside =
    ['person', 'group'].includes(options[chosen]?.kind ?? '') &&
    !meansMobile(options[chosen], number);
  const toMailbox = inside && !adding;
  const focus = () => document.getElementById(`${id}-field`)?.focus();
  const word: Record<Way, string> = {
    'put-through': t('target.putThrough'),
    announce: t(adding ? 'target.ring' : 'target.announce'),
    deflect: t('target.send'),
  };
  return (
    <div
      role="group"
      aria-label={t(adding ? 'target.addTitle' : 'target.title', { name })}
      className="border-base-300 mt-3 border-t pt-3"
    >
      <div className="flex flex-wrap items-center gap-2">
        <input
          id={`${id}-field`}
          type="text"
          role="combobox"
          aria-label={t(adding ? 'target.addLabel' : 'target.label', { name })}
          aria-expanded={options.length > 0}
          aria-controls={`${id}-list`}
          aria-activedescendant={options[chosen] ? `${id}-${chosen}` : undefined}
          autoComplete="off"
          spellCheck={false}
          placeholder={t('dial.placeholder')}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            reset();
            setError('');
          }}
          onKeyDown={pressed}
          className="input bg-base-100 min-w-52 flex-1"
        />
        {(options[chosen]?.kind === 'number' || meansMobile(options[chosen], number)) && (
          <CallerIdSelect
            value={callerId}
            onChoose={(chosenId) => {
              setCallerId(chosenId);
              focus();
            }}
          />
        )}
        {ways
          .filter((way) => way !== undefined)
          .map((way, index) => (
            <button
              key={way}
              type="button"
              className={`btn ${index === 0 ? 'btn-primary' : 'btn-plain'}`}
              aria-disabled={busy || wanted === ''}
              onClick={() => void run(way)}
            >
              {word[way]} <KeyCap name={index === 0 ? 'Enter' : '⇧ Enter'} />
            </button>
          ))}
        {toMailbox && (
          <button
            type="button"
            className="btn btn-plain"
            aria-disabled={busy}
            onClick={() => void run(ways[0], true)}
          >
            {t('target.mailbox')} <KeyCap name="Alt Enter" />
          </button>
        )}
        <button type="button" className="btn btn-plain" onClick={callStore.closePanel}>
          {t('target.cancel')} <KeyCap name="Esc" />
        </button>
      </div>
      <div className="quiet flex flex-wrap items-center gap-x-4 gap-y-2 pt-2 text-sm">
        <label className="flex items-center gap-2">
          {t('target.only')}
          <select
            className="select select-sm w-40"
            value={only ?? ''}
            onChange={(event) => {
              setOnly((event.target.value || undefined) as Limit | undefined);
              reset();
              focus();
            }}
          >
            <option value="">{t('target.limit.all')}</option>
            {LIMITS.map((each) => (
              <option key={each} value={each}>
                {t(`target.limit.${each}`)}
              </option>
            ))}
          </select>
        </label>
        {inside && ways[0] === 'put-through' && (
          <label className="flex items-center gap-2">
            {t('target.unanswered')}
            <select
              className="select select-sm w-52"
              value={unanswered ?? ''}
              onChange={(event) => {
                setUnanswered((event.target.value || undefined) as Unanswered | undefined);
                focus();
              }}
            >
              <option value="">{t('target.then.USUAL')}</option>
              {(['BACK', 'MAILBOX'] as const).map((each) => (
                <option key={each} value={each}>
                  {t(`target.then.${each}`)}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <div role="alert">
        {(error || hint) && <p className="text-error pt-2 font-semibold">{error || hint}</p>}
      </div>
      <ul id={`${id}-list`} role="listbox" aria-label={t('dial.results')} className="pt-1">
        {options.map((option, index) => (
          <DialOption
            key={option.key}
            id={`${id}-${index}`}
            option={option}
            chosen={index === chosen}
            nth={index === chosen ? number : 0}
            onChoose={() => stepTo(index)}
          />
        ))}
      </ul>
      {options.length === 0 && !hint && (
        <p className="quiet pt-2">{t(adding ? 'target.addHint' : 'target.hint')}</p>
      )}
    </div>
  );
}

function waysOf(call: CallView, adding: boolean): [Way, Way?] {
  if (adding) {
    return ['announce'];
  }
  return call.phase === 'RINGING' ? ['deflect'] : ['put-through', 'announce'];
}
