import { useTranslation } from 'react-i18next';
import type { LineView, PartyView } from '../api/types';
import type { CallerId, ShownAs } from '../calls/services';
import { usePreferences } from '../preferences/preferences';

interface Props<T extends ShownAs> {
  /** What has been chosen for this call; otherwise what one has chosen for all. */
  value?: T;
  /** Lines of mine that it can go out on; none where that makes no sense. */
  lines?: LineView[];
  /** In whose name I can call; nobody where that makes no sense. */
  principals?: PartyView[];
  onChoose: (shown: T) => void;
}

/** What the called outsider of this one call is shown. */
export function CallerIdSelect<T extends ShownAs = CallerId>({
  value,
  lines = [],
  principals = [],
  onChoose,
}: Props<T>) {
  const { t } = useTranslation();
  const usual = usePreferences().preference?.callerId ?? 'DIRECT';
  return (
    <select
      aria-label={t('callerId.label')}
      className="select select-sm w-40 max-sm:w-24"
      value={value ?? usual}
      onChange={({ target }) => onChoose((Number(target.value) || target.value) as T)}
    >
      {(['DIRECT', 'OFFICE', 'WITHHELD'] as const).map((each) => (
        <option key={each} value={each}>
          {t(`callerId.${each}`)}
        </option>
      ))}
      {lines.map((line) => (
        <option key={line.id} value={line.id}>
          {t('callerId.line', { name: line.name })}
        </option>
      ))}
      {principals.map((each) => (
        <option key={`as-${each.person}`} value={`as-${each.person}`}>
          {t('callerId.behalf', { name: each.name })}
        </option>
      ))}
    </select>
  );
}
