import { useQueues } from './queues';

/** Whether there are queues for me to look at: those I am in, or any when I administer. */
export function useHasQueues(): boolean {
  const { queues, all } = useQueues();
  return queues.length + all > 0;
}
