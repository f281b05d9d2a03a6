import { useCallback, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { Cord } from '../cord/Cord';
import { useKeys } from '../frame/keys';
import { nameOf, sendDigits } from '../live/calls';
import { device } from '../live/device';
import { useNow } from '../live/now';
import { useLive } from '../live/store';
import { clockTime } from '../words/time';
import { CallButton } from './CallButton';
import { Keypad } from './Keypad';
import { TargetPicker } from './TargetPicker';
import { KeyCap } from '../frame/KeyCap';

const LOOK: Record<CallView['phase'], string> = {
  RINGING:
    'ringing-strip border-2 bg-[color-mix(in_oklab,var(--color-accent)_14%,var(--color-base-100))]',
  DIALLING: 'border-accent',
  CALLING: 'border-accent',
  TALKING: 'border-primary',
  WAITING: 'border-primary',
  HELD: '',
  FAILED: 'border-error',
  SENT: 'border-dashed border-accent',
};

/** One call in hand: who, how it stands, its cord, and what can be done with it now. */
export function CallStrip({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  const keys = call.actions.includes('DIGITS');
  const keypad = useLive((live) => live.keypadFor === call.id);
  const toggle = useCallback(
    () => useLive.setState({ keypadFor: keypad ? '' : call.id }),
    [keypad, call.id],
  );
  /** Whether the buttons stand beside the name, where they are near at hand. */
  const beside = ['RINGING', 'HELD', 'SENT'].includes(call.phase);
  const picking = useLive((live) => live.pickerFor === call.id);
  const whole = now - Date.parse(call.began);
  const present = now - Date.parse(call.since);
  const held = call.heldBefore + (call.phase === 'HELD' || call.phase === 'WAITING' ? present : 0);
  const name = nameOf(call.other, t('party.withheld'));
  const details = [
    call.other.place,
    call.other.name === call.other.number ? '' : call.other.number,
  ];

  const state =
    call.phase === 'FAILED'
      ? t(`failure.${call.failure}`, { name })
      : t(`phase.${call.phase}`, { time: clockTime(present) });

  return (
    <article aria-label={name} className={`sheet px-4 py-3 ${LOOK[call.phase]}`}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-44 sm:basis-64">
          <h3 className="flex flex-wrap items-baseline gap-x-2">
            <span className="text-lg leading-snug font-bold break-words">{name}</span>
            <span className="quiet">{details.filter(Boolean).join(' · ')}</span>
          </h3>
          <p className="quiet">{howItCame(call, name, t)}</p>
        </div>
        {call.phase === 'RINGING' && <Buttons call={call} />}
        {(call.phase === 'HELD' || call.phase === 'SENT') && (
          <>
            <p className="pt-1.5">
              {call.reminded && call.phase === 'HELD' && (
                <strong className="bg-warning text-warning-content mr-2 rounded px-1.5 py-0.5">
                  {t('phase.tooLong')}
                </strong>
              )}
              {state}
              <span className="quiet">{t('phase.of', { time: clockTime(whole) })}</span>
            </p>
            <Buttons call={call} />
          </>
        )}
        {!beside && (
          <p className="text-right">
            {call.muted && (
              <strong className="bg-warning text-warning-content mr-3 rounded px-1.5 py-0.5">
                {t('phase.muted')}
              </strong>
            )}
            <span className="text-2xl leading-tight font-bold">{clockTime(whole)}</span>
            <br />
            <span className={call.phase === 'FAILED' ? 'text-error font-semibold' : 'quiet'}>
              {state}
              {held > 0 &&
                call.phase === 'TALKING' &&
                t('phase.heldBefore', { time: clockTime(held) })}
            </span>
          </p>
        )}
      </div>
      <div className="mt-2 flex items-start gap-4">
        <div className="min-w-0 flex-1">
          <Cord course={call.course} now={now} words={!beside} />
        </div>
        {call.phase === 'RINGING' && <p className="shrink-0 font-semibold">{state}</p>}
      </div>
      {!beside && (
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <Buttons call={call} keypad={keys ? { open: keypad, toggle } : undefined} />
        </div>
      )}
      {keys && keypad && <KeysPanel call={call} />}
      {picking && <TargetPicker call={call} />}
    </article>
  );
}

function KeysPanel({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const press = useMemo(() => (digit: string) => void sendDigits(call, digit), [call]);
  useKeys(
    useMemo(() => [...'0123456789*#'].map((key) => ({ key, run: () => press(key) })), [press]),
  );
  return (
    <div className="mt-3 flex items-start gap-4">
      <Keypad onPress={press} />
      <p>
        <span className="quiet block">{t('keypad.sent')}</span>
        <output className="text-lg font-semibold break-all">
          {call.digits.replaceAll('p', ' ')}
        </output>
      </p>
    </div>
  );
}

interface ButtonsProps {
  call: CallView;
  keypad?: { open: boolean; toggle: () => void };
}

function Buttons({ call, keypad }: ButtonsProps) {
  const { t } = useTranslation();
  const toggle = keypad?.toggle;
  useKeys(useMemo(() => (toggle ? [{ key: 'k', run: toggle }] : []), [toggle]));
  const early = call.actions.filter((action) => action !== 'CLEAR' && action !== 'DIGITS');
  return (
    <div
      className={`flex flex-wrap gap-2 ${['RINGING', 'HELD', 'SENT'].includes(call.phase) ? '' : 'w-full'}`}
    >
      {early.map((action) => (
        <CallButton key={action} call={call} action={action} />
      ))}
      {keypad && (
        <button
          type="button"
          className="btn btn-plain"
          aria-expanded={keypad.open}
          aria-keyshortcuts="K"
          onClick={keypad.toggle}
        >
          {t('action.KEYS')} <KeyCap name="K" />
        </button>
      )}
      {call.actions.includes('CLEAR') && (
        <span className="ml-auto">
          <CallButton call={call} action="CLEAR" />
        </span>
      )}
    </div>
  );
}

type Translate = ReturnType<typeof useTranslation>['t'];

/** On which line and from whom it came, who hears what, and on which of my windows it is. */
function howItCame(call: CallView, name: string, t: Translate): string {
  if (call.returned) {
    const about = { why: t(`why.${call.returned.why}`), from: call.returned.from, name };
    return t(call.returned.mine ? 'how.back' : 'how.backElse', about);
  }
  if (call.phase === 'SENT') {
    return [t('how.sentTo', { name: call.line }), hears(call, t)].join(' · ');
  }
  const line = call.line ? t('how.line', { line: call.line }) : t('how.own');
  const others = call.device && call.device !== device;
  return [
    call.members.length > 0 && t('how.conference', { names: call.members.join(', ') }),
    call.direction === 'PLACED' ? t('how.placed') : line,
    call.sentBy && t('how.sentBy', { name: call.sentBy }),
    ['HELD', 'TALKING'].includes(call.phase) && hears(call, t),
    call.silenced && t('how.silenced'),
    others && t(call.device === 'stand-in' ? 'how.standIn' : 'how.otherWindow'),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** What the other end hears, unless it is simply me. */
function hears(call: CallView, t: Translate): string {
  return call.otherHears === 'SPEECH' ? '' : t(`hears.${call.otherHears}`);
}
