import { useTranslation } from 'react-i18next';
import { useNow } from '../live/now';
import { shortMoment } from '../words/time';
import { useKnown } from './followUps';

/** In one line, while it rings: what was spoken of last, and what was promised. */
export function KnownLine({ number }: { number: string }) {
  const { t } = useTranslation();
  const now = useNow();
  const known = useKnown(number);
  const last =
    known?.calls.find((each) => each.talked > 0) ?? known?.calls.find((each) => each.missed);
  const note = known?.notes[0];
  const when = last && shortMoment(last.began, now);
  const open = known?.followUps.length ?? 0;
  const parts = [
    last && t(last.missed ? 'known.lastMissed' : 'known.last', { by: last.by, when }),
    note && t('known.lastNote', { what: note.title || note.text }),
  ].filter(Boolean);
  return parts.length + open === 0 ? null : (
    <>
      {' · '}
      {open > 0 && <strong className="mr-2">{t('known.due', { count: open })}</strong>}
      {parts.join(' ')}
    </>
  );
}
