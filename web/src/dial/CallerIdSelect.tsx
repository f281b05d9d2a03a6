import { useTranslation } from 'react-i18next';
import type { CallerId } from '../calls/services';
import { usePreferences } from '../preferences/preferences';

interface Props {
  /** What has been chosen for this call; otherwise what one has chosen for all. */
  value?: CallerId;
  onChoose: (callerId: CallerId) => void;
}

/** What the called outsider of this one call is shown. */
export function CallerIdSelect({ value, onChoose }: Props) {
  const { t } = useTranslation();
  const usual = usePreferences().preference?.callerId ?? 'DIRECT';
  return (
    <select
      aria-label={t('callerId.label')}
      className="select select-sm w-40 max-sm:w-24"
      value={value ?? usual}
      onChange={(event) => onChoose(event.target.value as CallerId)}
    >
      {(['DIRECT', 'OFFICE', 'WITHHELD'] as const).map((each) => (
        <option key={each} value={each}>
          {t(`callerId.${each}`)}
        </option>
      ))}
    </select>
  );
}
