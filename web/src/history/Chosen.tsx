import { useTranslation } from 'react-i18next';
import type { HistoryEntry } from '../api/types';
import { CardAndKey } from '../contacts/CardAndKey';
import { copyNumber, fileOf, remove } from './entries';

interface Props {
  chosen: HistoryEntry[];
  onNone: () => void;
  onPrint: () => void;
}

/** What one does with the entries one has chosen. */
export function Chosen({ chosen, onNone, onPrint }: Props) {
  const { t } = useTranslation();
  const [one] = chosen;
  const ids = chosen.map((each) => each.id);
  return (
    <div className="bg-base-200 border-base-300 sticky top-0 z-10 flex flex-wrap items-center gap-2 border-b px-3 py-1.5">
      <span className="font-semibold">{t('history.chosen', { count: chosen.length })}</span>
      <button
        type="button"
        className="btn btn-xs btn-plain"
        onClick={() => {
          void remove(ids);
          onNone();
        }}
      >
        {t('history.remove')}
      </button>
      <a className="btn btn-xs btn-plain" href={fileOf({ ids: ids.join(',') })} download>
        {t('history.save')}
      </a>
      <button type="button" className="btn btn-xs btn-plain" onClick={onPrint}>
        {t('history.print')}
      </button>
      {chosen.length === 1 && one?.other.number && (
        <button type="button" className="btn btn-xs btn-plain" onClick={() => void copyNumber(one)}>
          {t('history.copy')}
        </button>
      )}
      {chosen.length === 1 && one && <CardAndKey other={one.other} />}
      <button type="button" className="btn btn-xs btn-plain" onClick={onNone}>
        {t('history.leave')}
      </button>
    </div>
  );
}
