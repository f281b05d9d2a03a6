import { useSearchParams } from 'wouter';

/**
 * Which one of a list is open. It stands in the address: the way back of the browser closes it, and a reload leaves it
 * open.
 *
 * @param name under which it stands there
 */
export function useOpened(name: string): [number | undefined, (id?: number) => void] {
  const [address, setAddress] = useSearchParams();
  const open = Number(address.get(name)) || undefined;
  const setOpen = (id?: number) =>
    setAddress(id ? { [name]: String(id) } : {}, { replace: !id || open !== undefined });
  return [open, setOpen];
}
