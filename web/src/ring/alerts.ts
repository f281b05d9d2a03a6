import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import type { CallView } from '../api/types';
import { activeCall, nameOf } from '../calls/order';
import { useCalls } from '../calls/store';
import { showNotifications } from './notifications';
import { sound, soundEntry, useSound } from './sound';

/** Makes incoming calls noticed: by sound, by a desktop notification, by the title of the page. */
export function useAlerts() {
  const { t } = useTranslation();
  const calls = useCalls();
  const { pathname } = useLocation();
  const blocked = useSound((state) => state.blocked);
  const ringing = calls.filter((call) => call.phase === 'RINGING');
  const audible = ringing.some((call) => !call.silenced);
  const inCall = activeCall(calls) !== undefined;

  useEffect(() => {
    sound(!audible || blocked ? 'none' : inCall ? 'waiting' : 'ring');
  }, [audible, inCall, blocked]);

  useEffect(() => () => sound('none'), []);

  const before = useRef(new Map<string, number>());
  useEffect(() => {
    const active = activeCall(calls);
    // Of every call, also a held one: whoever goes back to a conference hears nobody enter.
    const known = active && before.current.get(active.id);
    if (active && known !== undefined && membersOf(active) > Math.max(1, known)) {
      soundEntry();
    }
    before.current = new Map(calls.map((call) => [call.id, membersOf(call)]));
  }, [calls]);

  useEffect(() => {
    const first = ringing[0];
    const view = t(`tab.${pathname.slice(1) || 'desk'}`);
    document.title = first
      ? t('title.ringing', { name: nameOf(first.other, t('party.withheld')) })
      : t('title.view', { view });
    showNotifications(
      ringing.map((call) => ({
        id: call.id,
        title: t('title.ringing', { name: nameOf(call.other, t('party.withheld')) }),
        body: [call.other.number, call.other.place, call.line].filter(Boolean).join(' · '),
      })),
    );
  });
}

function membersOf(call: CallView): number {
  return call.conference?.members.length ?? 0;
}
