import type { TFunction } from 'i18next';
import type { NoticeView } from '../api/types';
import { clockTime } from '../words/time';

/** A notice as a sentence. */
export const noticeSentence = (notice: NoticeView, t: TFunction): string =>
  t(`notice.${wordOf(notice)}`, {
    ...notice.about,
    name: notice.about.name || t('party.someone'),
    time: clockTime(Number(notice.about.waited ?? 0)),
  });

/** Of a caller without a number it is said that it was withheld, where there are words for that. */
function wordOf({ what, about }: NoticeView): string {
  if (what === 'ANSWERED_BY_OTHER' && !about.person) {
    return 'ANSWERED_OUTSIDE';
  }
  return about.name === '' && ['MISSED', 'ANSWERED_BY_OTHER'].includes(what)
    ? `${what}_WITHHELD`
    : what;
}
