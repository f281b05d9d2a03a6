import type { TFunction } from 'i18next';
import type { CallView } from '../api/types';
import { OUTSIDE } from '../devices/store';
import { device } from '../live/device';
import { clockTime } from '../words/time';

/** On which line and from whom it came, who hears what, and on which of my windows it is. */
export function howItCame(call: CallView, name: string, t: TFunction): string {
  if (call.callBack) {
    return t('how.callBack', { name });
  }
  if (call.returned) {
    return returned(call.returned, name, t);
  }
  if (call.phase === 'MESSAGE') {
    return t('how.message', { name });
  }
  if (call.phase === 'SENT') {
    return [t('how.sentTo', { name: call.line }), hears(call, t)].join(' · ');
  }
  if (call.slot) {
    return t('how.parked', { slot: call.slot });
  }
  const others = call.device && call.device !== device;
  return [
    call.conference ? conference(call.conference, t) : '',
    call.direction === 'PLACED' ? t('how.placed') : on(call, t),
    queued(call.queued, t),
    call.behalf &&
      t(call.direction === 'PLACED' ? 'how.placedFor' : 'how.callsFor', { name: call.behalf }),
    call.sentBy && t('how.sentBy', { name: call.sentBy }),
    call.sentOnBy && t('how.sentOnBy', { name: call.sentOnBy }),
    call.announced && t('how.announced', { name: call.announced }),
    call.theySee !== undefined &&
      t(call.theySee ? 'how.theySee' : 'how.theySeeNothing', { number: call.theySee }),
    ['HELD', 'TALKING'].includes(call.phase) && !call.conference && hears(call, t),
    call.silenced && t('how.silenced'),
    call.outside && t(`how.outside.${call.outside.stage}`, { number: call.outside.number }),
    others && call.device !== OUTSIDE && t(`how.on${call.deviceKind ?? 'WINDOW'}`),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** How long they have waited in a line, and why they came first. */
function queued(of: CallView['queued'], t: TFunction): string {
  return [
    of?.waited && of.waited >= 1000 && t('how.queued', { time: clockTime(of.waited) }),
    of?.kept && t('how.kept'),
    of?.given && t('how.given', { what: of.asked, number: of.given }),
    of?.why && t(`how.first.${of.why}`),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** On which line it came, or for whom it was. */
function on(call: CallView, t: TFunction): string {
  if (call.forwardedFrom) {
    return t('how.forwardedFrom', { name: call.forwardedFrom });
  }
  if (call.answersFor) {
    const how = call.phase === 'RINGING' ? 'how.answersFor' : 'how.answeredFor';
    return t(how, { name: call.answersFor });
  }
  return call.line ? t('how.line', { line: call.line }) : t('how.own');
}

function returned(back: NonNullable<CallView['returned']>, name: string, t: TFunction): string {
  if (back.why === 'PARKED_TOO_LONG') {
    return t(back.mine ? 'how.backParked' : 'how.backParkedElse', { from: back.from, name });
  }
  const about = { why: t(`why.${back.why}`, { from: back.from }), name };
  return t(back.mine ? 'how.back' : 'how.backElse', about);
}

function conference(of: NonNullable<CallView['conference']>, t: TFunction): string {
  const people = { count: of.members.length + 1, limit: of.limit };
  return t(of.mine ? 'conference.mine' : 'conference.others', people);
}

/** What the other end hears, unless it is simply me. */
export function hears(call: CallView, t: TFunction): string {
  return call.otherHears === 'SPEECH' ? '' : t(`hears.${call.otherHears}`);
}
