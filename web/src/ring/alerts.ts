import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'wouter';
import type { NoticeView } from '../api/types';
import { aboutParty, activeCall, nameOf } from '../calls/order';
import { useCalls } from '../calls/store';
import { noticeSentence } from '../notices/noticeSentence';
import { useNotices } from '../notices/store';
import { toneFor, useSoundSettings } from '../sound/settings';
import { useNewMessages } from '../voicemail/messages';
import { useLoud } from './useLoud';
import { showNotifications, tell } from './notifications';
import { sound, useSound } from './sound';

const isDue = (notice: NoticeView) => notice.what === 'FOLLOW_UP_DUE';

/** Makes incoming calls noticed: by sound, by a desktop notification, by the title of the page. */
export function useAlerts() {
  const { t } = useTranslation();
  const calls = useCalls();
  const [pathname] = useLocation();
  const blocked = useSound((state) => state.blocked);
  const ringing = calls.filter((call) => call.phase === 'RINGING');
  const loud = useLoud(ringing);
  const audible = loud !== undefined;
  const settings = useSoundSettings();
  const tone = loud ? toneFor(loud.other, settings) : 'ring';
  const inCall = activeCall(calls) !== undefined;

  useEffect(() => {
    sound(!audible || blocked ? 'none' : inCall ? 'waiting' : tone);
  }, [audible, inCall, blocked, tone]);

  useEffect(() => () => sound('none'), []);

  const fresh = useNewMessages();
  const newest = fresh?.messages[0];
  const known = useRef<number>(undefined);
  useEffect(() => {
    if (fresh && known.current !== undefined && newest && newest.id > known.current) {
      tell(t('mailbox.from', { name: nameOf(newest.who, t('party.withheld')) }), newest.line ?? '');
    }
    if (fresh) {
      known.current = Math.max(known.current ?? 0, newest?.id ?? 0);
    }
  }, [fresh, newest, t]);

  const due = useNotices((store) => store.notices).filter((each) => isDue(each.notice));
  const latest = due.at(-1);
  useEffect(() => {
    if (latest) {
      tell(t('title.due'), noticeSentence(latest.notice, t));
    }
  }, [latest, t]);

  useEffect(() => {
    const first = ringing[0];
    const view = t(`tab.${pathname.split('/')[1] || 'desk'}`);
    document.title = first
      ? t('title.ringing', { name: nameOf(first.other, t('party.withheld')) })
      : t(fresh?.fresh ? 'title.waiting' : 'title.view', { view, count: fresh?.fresh });
    showNotifications(
      ringing.map((call) => ({
        id: call.id,
        title: t('title.ringing', { name: nameOf(call.other, t('party.withheld')) }),
        body: [...aboutParty(call.other, t), call.line].filter(Boolean).join(' · '),
      })),
    );
  });
}
