import { useCallback, useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { CallView } from '../api/types';
import { nameOf } from '../calls/order';
import { type Way, send } from '../calls/services';
import { callStore } from '../calls/store';
import { KeyCap } from '../frame/KeyCap';
import { useOnce } from '../live/useOnce';
import { DialOption } from './DialOption';
import { stepped, useFinder } from './finder';

interface Props {
  call: CallView;
  /** Whether somebody is to be added, and not the call to be sent on. */
  adding: boolean;
}

/** The strip has room for so many; whoever is not shown cannot be chosen. */
const MOST = 6;

/** Chooses whom to send a call to, in its strip; found and ranked as in the dial field. */
export function TargetPicker({ call, adding }: Props) {
  const { t } = useTranslation();
  const id = useId();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const [error, setError] = useState('');
  const { wanted, options, hint, pick } = useFinder(text, MOST);
  const ways = waysOf(call, adding);
  const name = nameOf(call.other, t('party.withheld'));

  useEffect(() => document.getElementById(`${id}-field`)?.focus(), [id]);

  const { run, busy } = useOnce(
    useCallback(
      async (way: Way) => {
        if (wanted === '') {
          return;
        }
        try {
          await send(call, way, await pick(chosen));
          callStore.closePanel();
        } catch (problem) {
          setError(sentence(problem));
        }
      },
      [call, wanted, chosen, pick],
    ),
  );

  function pressed(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setChosen(stepped(event.key, chosen, options.length));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      void run((event.shiftKey && ways[1]) || ways[0]);
    } else if (event.key === 'Escape') {
      callStore.closePanel();
    }
  }

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
          aria-activedescendant={options.length > 0 ? `${id}-${chosen}` : undefined}
          autoComplete="off"
          spellCheck={false}
          placeholder={t('dial.placeholder')}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setChosen(0);
            setError('');
          }}
          onKeyDown={pressed}
          className="input bg-base-100 min-w-52 flex-1"
        />
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
        <button type="button" className="btn btn-plain" onClick={callStore.closePanel}>
          {t('target.cancel')} <KeyCap name="Esc" />
        </button>
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
            onChoose={() => setChosen(index)}
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
