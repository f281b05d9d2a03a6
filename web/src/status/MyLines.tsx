import { useTranslation } from 'react-i18next';
import { PartInLine } from '../lines/PartInLine';
import { useLines } from '../lines/lines';

/** The lines that are mine to answer, each with my switch. */
export function MyLines() {
  const { t } = useTranslation();
  const mine = useLines().filter((line) => line.mine);
  if (mine.length === 0) {
    return null;
  }
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{t('status.lines')}</legend>
      <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {mine.map((line) => (
          <li key={line.id}>
            <label className="flex items-center gap-2">
              <PartInLine line={line} /> {line.name}
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
