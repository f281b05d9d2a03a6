import { useTranslation } from 'react-i18next';
import type { LineView } from '../api/types';
import { attempt } from '../notices/attempt';
import { takePart } from './lines';

/** My switch in a line that is mine to answer. */
export function PartInLine({ line }: { line: LineView }) {
  const { t } = useTranslation();
  return (
    <input
      type="checkbox"
      className="toggle toggle-sm toggle-primary"
      aria-label={t('lines.takesPart', { line: line.name })}
      checked={line.takesPart}
      onChange={(event) => void attempt(takePart(event.target.checked, line.id))}
    />
  );
}
