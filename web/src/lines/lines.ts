import { useQuery } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { LineView } from '../api/types';

/** The lines that several people answer. */
export const useLines = () =>
  useQuery({ queryKey: ['lines'], queryFn: () => get<LineView[]>('/api/lines') }).data ?? [];

/** Takes part in a line from now on, or rests. */
export const takePart = (line: number, takesPart: boolean) =>
  put(`/api/lines/${line}/part`, { takesPart });
