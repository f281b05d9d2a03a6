import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { LinesDialog } from '../ui/LinesDialog';
import { keepOfficePhrases, keepPhrases, phrases } from './followUps';

interface Props {
  /** Those of the office, for administrators. */
  ofOffice?: boolean;
  onClose: () => void;
}

/** What is written again and again, each phrase with its number. */
export function PhrasesDialog({ ofOffice = false, onClose }: Props) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const { data } = useQuery({ ...phrases, gcTime: 0 });
  if (!data) {
    return null;
  }
  return (
    <LinesDialog
      title={t(ofOffice ? 'note.editOffice' : 'note.edit')}
      how={t(ofOffice ? 'note.howOfficePhrases' : 'note.howPhrases')}
      label={(n) => t('note.phrase', { n })}
      lines={ofOffice ? data.office : data.phrases}
      most={9}
      longest={400}
      onKeep={async (next) => {
        await (ofOffice ? keepOfficePhrases : keepPhrases)(next);
        await queries.invalidateQueries({ queryKey: phrases.queryKey });
      }}
      onClose={onClose}
    />
  );
}
