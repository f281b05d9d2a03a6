import { useQuery } from '@tanstack/react-query';
import { get } from '../api/client';
import type { SystemView } from '../api/types';

/** What an administrator has to do something about, the most urgent first; nothing for anybody else. */
export const useAlarms = (administrator: boolean) =>
  useQuery({
    queryKey: ['office', 'system', 'alarms'],
    queryFn: () => get<SystemView['alarms']>('/api/office/alarms'),
    enabled: administrator,
  }).data ?? [];
