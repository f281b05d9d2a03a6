import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { get, put } from '../../api/client';
import { Members } from '../Members';
import { useChange } from '../office';

interface Props {
  id: number;
  name: string;
}

/** Who answers and places calls for somebody, or uses the telephone of a room. It counts at once. */
export function ActingFor({ id, name }: Props) {
  const { t } = useTranslation();
  const { change, error } = useChange();
  const path = `/api/office/people/${id}/delegates`;
  const { data } = useQuery({
    queryKey: ['office', 'people', id, 'delegates'],
    queryFn: () => get<{ delegates: number[] }>(path),
  });
  return (
    data && (
      <>
        <Members
          legend={t('office.delegates', { name })}
          add={t('office.addDelegate')}
          members={data.delegates}
          onChange={(delegates) => void change(() => put(path, { delegates }))}
        />
        <p role="alert" className="text-error font-semibold">
          {error}
        </p>
      </>
    )
  );
}
