import { IconBackspace, IconGridDots, IconSearch } from '@tabler/icons-react';
import {
  useCallback,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { activeCall } from '../calls/order';
import { type ShownAs, placeCall } from '../calls/services';
import { useCallStore, useCalls } from '../calls/store';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useLines, usePrincipals } from '../lines/lines';
import { useOnce } from '../live/useOnce';
import { CallerIdSelect } from './CallerIdSelect';
import { DialOption } from './DialOption';
import { useTelLink } from './telLink';
import { Keypad } from './Keypad';
import { dialOf } from './choices';
import { useFinder } from './finder';
import { useSteps } from './steps';

const LONGEST = 2_500;

/** The one field that finds and dials everything. */
export function DialField() {
  const { t } = useTranslation();
  const id = useId();
  const field = useCallback(() => document.getElementById(`${id}-field`), [id]);
  const focus = useCallback(() => field()?.focus(), [field]);
  const [text, setText] = useState('');
  /** What was typed when it was asked whether the emergency services are meant. */
  const [asked, setAsked] = useState('');
  const [keypad, setKeypad] = useState(false);
  const [error, setError] = useState('');
  const [callerId, setCallerId] = useState<ShownAs>();
  const lines = useLines().filter((each) => each.mine);
  const principals = usePrincipals();
  const wanted = text.trim();
  const inCall = activeCall(useCalls());
  const sendsDigits = useCallStore(
    ({ panel }) => panel?.what === 'KEYS' && panel.call === inCall?.id,
  );
  const keypadOfCall = inCall?.actions.includes('DIGITS') ?? false;

  const { options, hint, first, pick } = useFinder(text);
  const { step, chosen, number, stepBy, stepTo, reset } = useSteps(options, first);

  const change = useCallback(
    (next: string) => {
      setText(next.slice(0, LONGEST));
      reset();
      setAsked('');
      setError('');
    },
    [reset],
  );

  useTelLink(
    useCallback(
      (number: string) => {
        change(number);
        focus();
      },
      [change, focus],
    ),
  );

  const call = useOnce(
    useCallback(
      async (to: string) => {
        field()?.blur(); // from now on keys mean the call
        try {
          await placeCall(to, callerId);
          setCallerId(undefined);
          change('');
          setKeypad(false);
        } catch (problem) {
          setError(sentence(problem));
          focus();
        }
      },
      [change, field, focus, callerId],
    ),
  );

  const enter = useCallback(async () => {
    if (wanted === '') {
      return;
    }
    try {
      const meant = await pick(step);
      if (meant?.emergency && asked !== wanted) {
        setAsked(wanted);
        setError(t('dial.askEmergency', { number: meant.emergency }));
      } else if (meant) {
        await call.run(meant.to);
      }
    } catch (problem) {
      setError(sentence(problem));
    }
  }, [wanted, step, pick, call, asked, t]);

  function pressed(event: KeyboardEvent<HTMLInputElement>) {
    if (stepBy(event)) {
      return;
    }
    if (event.key === 'Enter' && !event.altKey) {
      event.preventDefault();
      void enter();
    } else if (event.key === 'Escape') {
      change('');
      setKeypad(false);
      field()?.blur();
    }
  }

  const toggleKeypad = useCallback(() => setKeypad((open) => !open), []);
  const closeKeypad = useCallback(() => setKeypad(false), []);
  useKeys(
    useMemo(
      () => [
        { key: '/', run: focus },
        ...(keypadOfCall ? [] : [{ key: 'k', run: toggleKeypad }]),
        ...(sendsDigits
          ? []
          : [
              ...[...'0123456789+*#'].map((key) => ({
                key,
                alt: 'without' as const,
                run: () => {
                  setText((before) => before + key);
                  focus();
                },
              })),
            ]),
      ],
      [focus, toggleKeypad, sendsDigits, keypadOfCall],
    ),
  );

  return (
    <section aria-label={t('dial.title')} className="relative">
      <div className="bg-base-100 border-base-content flex items-center gap-2 rounded-lg border-2 pr-2 pl-4">
        <IconSearch size={20} aria-hidden="true" className="shrink-0" />
        <input
          id={`${id}-field`}
          data-dial-field
          type="text"
          role="combobox"
          aria-label={t('dial.label')}
          aria-expanded={options.length > 0}
          aria-controls={`${id}-list`}
          aria-activedescendant={options[chosen] ? `${id}-${chosen}` : undefined}
          aria-describedby={`${id}-problem`}
          autoComplete="off"
          spellCheck={false}
          placeholder={t('dial.placeholder')}
          value={text}
          onChange={(event) => change(event.target.value)}
          onPaste={(event) => {
            // Line breaks would be lost by the field; blanks keep the parts apart.
            event.preventDefault();
            const pasted = event.clipboardData.getData('text').replace(/\s+/g, ' ');
            const { selectionStart, selectionEnd } = event.currentTarget;
            change(
              text.slice(0, selectionStart ?? 0) + pasted + text.slice(selectionEnd ?? text.length),
            );
          }}
          onKeyDown={pressed}
          className="placeholder:quiet h-11 min-w-0 flex-1 bg-transparent text-base outline-none"
        />
        {text === '' ? (
          <KeyCap name="/" />
        ) : (
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            aria-label={t('dial.correct')}
            onClick={() => {
              change(text.slice(0, -1));
              focus();
            }}
          >
            <IconBackspace size={20} aria-hidden="true" />
          </button>
        )}
        {(options[chosen]?.kind === 'number' || (wanted && principals.length > 0)) && (
          <CallerIdSelect<ShownAs>
            value={callerId}
            lines={lines}
            principals={principals}
            onChoose={(chosenId) => {
              setCallerId(chosenId);
              focus();
            }}
          />
        )}
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-expanded={keypad}
          onClick={toggleKeypad}
        >
          <IconGridDots size={16} aria-hidden="true" />
          {t('keypad.title')}
        </button>
      </div>
      <div id={`${id}-problem`} role="alert" className="absolute z-20 w-full">
        {(error || hint) && (
          <p className="sheet text-error mt-1 px-4 py-2 font-semibold shadow-lg">{error || hint}</p>
        )}
      </div>
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label={t('dial.results')}
        className={
          options.length > 0 && !error ? 'sheet absolute z-10 mt-1 w-full p-1 shadow-lg' : 'hidden'
        }
        style={hint ? { top: '6.2rem' } : undefined}
      >
        {options.map((option, index) => (
          <DialOption
            key={option.key}
            id={`${id}-${index}`}
            option={option}
            chosen={index === chosen}
            nth={index === chosen ? number : 0}
            onPoint={() => index !== chosen && stepTo(index)}
            onChoose={() => void call.run(dialOf(option, index === chosen ? number : 0))}
          />
        ))}
      </ul>
      {keypad && (
        <OpenKeypad onClose={closeKeypad}>
          <Keypad
            onPress={(digit) => {
              change(text + digit);
            }}
          />
          <button
            type="button"
            className="btn btn-success mt-2 w-full"
            aria-disabled={call.busy || wanted === ''}
            onClick={() => void enter()}
          >
            {t('dial.call')} <KeyCap name="Enter" />
          </button>
        </OpenKeypad>
      )}
    </section>
  );
}

/** Beside the field, where it covers no call; it has the focus, so that Escape puts it away. */
function OpenKeypad({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  const pad = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const opened = pad.current;
    opened?.focus();
    const pressed = (event: globalThis.KeyboardEvent) => event.key === 'Escape' && onClose();
    opened?.addEventListener('keydown', pressed);
    return () => opened?.removeEventListener('keydown', pressed);
  }, [onClose]);
  return (
    <div
      ref={pad}
      tabIndex={-1}
      className="sheet absolute top-full right-0 z-20 mt-1 p-3 shadow-lg outline-none lg:top-0 lg:right-auto lg:left-full lg:mt-0 lg:ml-4"
    >
      {children}
    </div>
  );
}
