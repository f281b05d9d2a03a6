import { useTranslation } from 'react-i18next';
import type { CallView, ConferenceView } from '../api/types';
import { useSoundState } from '../sound/store';
import { nameOf } from '../calls/order';
import { member } from '../calls/services';

/** Who else is in a conference, and what its starter can do with each of them. */
export function Members({ call, conference }: { call: CallView; conference: ConferenceView }) {
  const { t } = useTranslation();
  const speaking = useSoundState((sound) => sound.speaking);
  const voices = speaking.find((each) => each.call === call.id)?.legs ?? [];
  return (
    <ul
      aria-label={t('conference.members')}
      className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-4 gap-y-1 xl:grid-cols-[repeat(2,minmax(0,1fr))]"
    >
      {conference.members.map((each) => {
        const name = nameOf(each.who, t('party.withheld'));
        const speaks = voices.includes(each.leg);
        const state = each.away ? 'away' : each.muted ? 'muted' : speaks ? 'speaks' : 'in';
        const can: [string, () => Promise<void>][] = [
          [each.muted ? 'unmute' : 'mute', () => member.mute(call, each)],
          ['aside', () => member.aside(call, each)],
          ['drop', () => member.drop(call, each)],
        ];
        return (
          <li key={each.leg} className="flex flex-wrap items-center gap-2">
            <span className={`lamp member-${state}`} aria-hidden="true" />
            <span className="min-w-0 flex-1 basis-40 truncate">
              <span className="font-semibold">{name}</span>{' '}
              <span className="quiet text-sm">
                {state === 'in' ? each.who.place : t(`conference.${state}`)}
              </span>
            </span>
            {conference.mine && (
              <span className="flex gap-1.5">
                {can
                  .filter(([what]) => what !== 'aside' || !each.away)
                  .map(([what, run]) => (
                    <button
                      key={what}
                      type="button"
                      className="btn btn-xs btn-plain"
                      aria-label={t(`conference.${what}Name`, { name })}
                      onClick={() => void run()}
                    >
                      {t(`conference.${what}`)}
                    </button>
                  ))}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}
