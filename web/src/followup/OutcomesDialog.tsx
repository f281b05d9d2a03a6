import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { LinesDialog } from '../ui/LinesDialog';
import { keepOutcomes, outcomes } from './followUps';

/** For administrators: what can come of a call. What was said of calls before stays. */
export function OutcomesDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const { data } = useQuery({ ...outcomes, gcTime: 0 });
  return (
    data && (
      <LinesDialog
        title={t('outcome.edit')}
        how={t('outcome.how')}
        label={(n) => t('outcome.nth', { n })}
        lines={data}
        most={12}
        longest={30}
        onKeep={async (next) => {
          await keepOutcomes(next);
          await queries.invalidateQueries({ queryKey: outcomes.queryKey });
        }}
        onClose={onClose}
      />
    )
  );
}
