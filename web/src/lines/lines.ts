import { useQuery } from '@tanstack/react-query';
import { get } from '../api/client';
import type { LineView } from '../api/types';

/** The lines that several people answer. */
export const useLines = () =>
  useQuery({ queryKey: ['lines'], queryFn: () => get<LineView[]>('/api/lines') }).data ?? [];
