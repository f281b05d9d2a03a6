import { useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { LinesDialog } from '../ui/LinesDialog';
import { keepPhrases, usePhrases } from './followUps';

/** What I write again and again, each phrase with its number. */
export function PhrasesDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  return (
    <LinesDialog
      title={t('note.edit')}
      how={t('note.howPhrases')}
      label={(n) => t('note.phrase', { n })}
      lines={usePhrases()}
      most={9}
      longest={400}
      onKeep={async (phrases) => {
        await keepPhrases(phrases);
        await queries.invalidateQueries({ queryKey: ['phrases'] });
      }}
      onClose={onClose}
    />
  );
}
