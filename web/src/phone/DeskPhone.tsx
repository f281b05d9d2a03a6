import {
  IconPhone,
  IconPhoneOff,
  IconVolume,
  IconHeadset,
  IconMicrophoneOff,
  IconMail,
} from '@tabler/icons-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { Panel } from '../api/types';
import { Keypad } from '../dial/Keypad';
import { timeOfDay } from '../words/time';
import { addWords } from '../words';
import { Display } from './Display';
import { KeyLamp } from './KeyLamp';
import { usePhone } from './line';
import { plugIn, type WorkingPhone } from './voice';
import words from './words.view.en.json';

addWords(words);

/** As the server counts them. */
const ORDER = '0123456789*#';
const LOUDER = 0.1;

/** A desk telephone in a window of its own: a stand-in, with a line and a sound of its own. */
export function DeskPhone() {
  const { t } = useTranslation();
  const { plug, panel } = usePhone();
  const phone = useRef<WorkingPhone>(null);
  const [volume, setVolume] = useState(0.8);

  useEffect(() => {
    const mine = plugIn();
    phone.current = mine;
    return () => mine.end();
  }, []);

  const press = (key: string, number = 0) => phone.current?.press(key, number);

  // What is typed is taken by Enter, wherever the mouse was before: it is the first key beneath the display.
  const asks = panel?.soft.includes('BACK') ?? false;
  const idle = panel?.soft.includes('PICK_UP') ?? false;
  // Who types faster than the display follows has begun to dial all the same.
  const begun = useRef(false);
  useEffect(() => {
    begun.current = begun.current && idle;
    function entered(event: KeyboardEvent) {
      if (event.repeat || event.target !== document.body) {
        return;
      }
      if (event.key === 'Enter' && (asks || begun.current)) {
        phone.current?.press('SOFT', 0);
      }
      begun.current = idle && /^[0-9*#]$/.test(event.key);
    }
    // A key of a telephone that was pressed with a finger is not what Enter means.
    function clicked(event: MouseEvent) {
      if (event.detail > 0 && document.activeElement instanceof HTMLElement) {
        document.activeElement.blur();
      }
    }
    window.addEventListener('keydown', entered);
    window.addEventListener('click', clicked);
    return () => {
      window.removeEventListener('keydown', entered);
      window.removeEventListener('click', clicked);
    };
  }, [asks, idle]);

  useEffect(() => {
    function typed(event: KeyboardEvent) {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) {
        return;
      }
      const keys: Record<string, string> = { ArrowUp: 'UP', ArrowDown: 'DOWN', Escape: 'END' };
      if (event.key.length === 1 && ORDER.includes(event.key)) {
        press('DIGIT', ORDER.indexOf(event.key));
      } else if (keys[event.key]) {
        press(keys[event.key] ?? '');
        event.preventDefault();
      }
    }
    window.addEventListener('keydown', typed);
    return () => window.removeEventListener('keydown', typed);
  }, []);

  useEffect(() => {
    document.title = panel
      ? t('phone.title', { name: panel.holder.name, extension: panel.holder.extension })
      : t('phone.untitled');
  }, [panel, t]);

  if (plug !== 'plugged' || !panel) {
    return <NotPlugged plug={plug} onTakeOver={() => phone.current?.takeOver()} />;
  }

  function louder(by: number) {
    const now = Math.min(1, Math.max(0.1, Math.round((volume + by) * 10) / 10));
    setVolume(now);
    phone.current?.volume(now);
  }

  const { sounds } = panel;
  return (
    <main className="mx-auto grid w-full max-w-[26rem] gap-3 p-3 sm:max-w-[48rem] sm:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <Plate holder={panel.holder} />
      <div className="sheet flex flex-col gap-3 p-3">
        <Display lines={panel.display} />
        <div role="group" aria-label={t('phone.soft')} className="grid grid-cols-3 gap-1.5">
          {Array.from({ length: 6 }, (_, i) => {
            const key = panel.soft[i] === 'NONE' ? undefined : panel.soft[i];
            return (
              <button
                key={i}
                type="button"
                disabled={!key}
                className="btn btn-sm btn-plain h-9 px-1 font-semibold"
                onClick={() => press('SOFT', i)}
              >
                {key ? (
                  t(`phone.key.${key}`)
                ) : (
                  <span className="sr-only">{t('phone.nothing')}</span>
                )}
              </button>
            );
          })}
        </div>
        <ul aria-label={t('phone.lines')} className="grid grid-cols-2 gap-1.5">
          {panel.keys.map((key, i) => (
            <li key={i}>
              <button
                type="button"
                className="border-base-300 hover:bg-base-200 flex h-8 w-full items-center gap-2 rounded border px-2 text-left text-sm"
                onClick={() => press('LINE', i)}
              >
                <KeyLamp
                  light={key.light}
                  assigned={key.number !== null && key.number !== undefined}
                />
                <span className="truncate">
                  {key.label || t(key.number === '' ? 'phone.ownLine' : 'phone.unassigned')}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-[auto_1fr] gap-3">
          <button
            type="button"
            aria-pressed={sounds.lifted}
            className={`btn h-auto w-20 flex-col gap-2 px-1 py-3 ${sounds.lifted ? 'btn-primary' : 'btn-plain'}`}
            onClick={() => press(sounds.lifted ? 'ON_HOOK' : 'OFF_HOOK')}
          >
            {sounds.lifted ? (
              <IconPhoneOff size={26} aria-hidden="true" />
            ) : (
              <IconPhone size={26} aria-hidden="true" />
            )}
            {t(sounds.lifted ? 'phone.putDown' : 'phone.lift')}
          </button>
          <div role="group" aria-label={t('phone.services')} className="grid grid-cols-3 gap-1.5">
            <Switch on={sounds.path === 'SPEAKER'} onClick={() => press('SPEAKER')}>
              <IconVolume size={16} aria-hidden="true" />
              {t('phone.speaker')}
            </Switch>
            <Switch on={sounds.path === 'HEADSET'} onClick={() => press('HEADSET')}>
              <IconHeadset size={16} aria-hidden="true" />
              {t('phone.headset')}
            </Switch>
            <Switch on={sounds.muted} onClick={() => press('MUTE')}>
              <IconMicrophoneOff size={16} aria-hidden="true" />
              {t('phone.mute')}
            </Switch>
            <Fixed onClick={() => press('HOLD')}>{t('phone.hold')}</Fixed>
            <Fixed onClick={() => press('END')}>{t('phone.end')}</Fixed>
            <Fixed onClick={() => press('REDIAL')}>{t('phone.redial')}</Fixed>
            <Fixed onClick={() => press('DIRECTORY')}>{t('phone.directory')}</Fixed>
            <Fixed onClick={() => press('HISTORY')}>{t('phone.history')}</Fixed>
            <Fixed onClick={() => press('MISSED')}>{t('phone.missed')}</Fixed>
          </div>
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)_7.5rem] gap-3">
          <Keypad onPress={(digit) => press('DIGIT', ORDER.indexOf(digit))} />
          <div className="flex flex-col gap-1.5">
            <Messages holder={panel.holder} onPress={() => press('MESSAGES')} />
            <Fixed onClick={() => press('UP')}>{t('phone.up')}</Fixed>
            <Fixed onClick={() => press('DOWN')}>{t('phone.down')}</Fixed>
            <div role="group" aria-label={t('phone.volume')} className="flex items-center gap-1.5">
              <Fixed label={t('phone.quieter')} onClick={() => louder(-LOUDER)}>
                {'−'}
              </Fixed>
              <span className="flex-1 text-center text-sm">{Math.round(volume * 10)}</span>
              <Fixed label={t('phone.louder')} onClick={() => louder(LOUDER)}>
                {'+'}
              </Fixed>
            </div>
          </div>
        </div>
      </div>
    </main>
  );
}

/** Whose telephone it is now. */
function Plate({ holder }: { holder: Panel['holder'] }) {
  const { t } = useTranslation();
  return (
    <header className="flex items-baseline gap-2 px-1 sm:col-span-2">
      <h1 className="truncate text-lg font-bold">{holder.name}</h1>
      <span className="font-semibold">{holder.extension}</span>
      {holder.lent && (
        <span className="bg-accent text-accent-content ml-auto rounded px-1.5 text-sm font-semibold">
          {holder.lentUntil
            ? t('phone.lentUntil', { time: timeOfDay(holder.lentUntil) })
            : t('phone.lent')}
        </span>
      )}
    </header>
  );
}

/** The lamp of messages, which is the key to hear them. */
function Messages({ holder, onPress }: { holder: Panel['holder']; onPress: () => void }) {
  const { t } = useTranslation();
  const { fresh, old } = holder;
  return (
    <button
      type="button"
      className={`btn btn-sm h-11 justify-start gap-2 px-2 ${fresh > 0 ? 'btn-accent' : 'btn-plain'}`}
      onClick={onPress}
    >
      <IconMail size={18} aria-hidden="true" />
      <span className="text-left leading-tight">
        {t('phone.messages')}
        <span className="block text-xs font-normal">{t('phone.counts', { fresh, old })}</span>
      </span>
    </button>
  );
}

interface FixedProps {
  onClick: () => void;
  label?: string;
  children: ReactNode;
}

/** A key with one meaning. */
function Fixed({ onClick, label, children }: FixedProps) {
  return (
    <button
      type="button"
      aria-label={label}
      className="btn btn-sm btn-plain h-9 px-2 font-normal"
      onClick={onClick}
    >
      {children}
    </button>
  );
}

/** A key whose lamp says whether it is on. */
function Switch({ on, onClick, children }: FixedProps & { on: boolean }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      className={`btn btn-sm h-9 gap-1 px-1 font-normal ${on ? 'btn-primary' : 'btn-plain'}`}
      onClick={onClick}
    >
      {children}
    </button>
  );
}

/** Why this telephone does nothing, and what can be done. */
function NotPlugged({ plug, onTakeOver }: { plug: string; onTakeOver: () => void }) {
  const { t } = useTranslation();
  return (
    <main className="mx-auto flex max-w-[26rem] flex-col gap-3 p-4">
      <h1 className="text-lg font-bold">{t('phone.untitled')}</h1>
      <p role="status" className="sheet p-4">
        {t(`phone.plug.${plug}`)}
      </p>
      {(plug === 'inUse' || plug === 'replaced') && (
        <button type="button" className="btn btn-primary" onClick={onTakeOver}>
          {t('phone.useThis')}
        </button>
      )}
    </main>
  );
}
