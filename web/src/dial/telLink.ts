import { useEffect } from 'react';
import { useSearchParams } from 'wouter';

const PARAMETER = 'dial';

/** Whether this browser can hand links with telephone numbers (RFC 3966) to this application. */
export const canTakeTelLinks = 'registerProtocolHandler' in navigator;

/** Has the browser ask whether such links are to be opened here from now on. */
export function takeTelLinks() {
  navigator.registerProtocolHandler('tel', `${location.origin}/desk?${PARAMETER}=%s`);
}

/** Tells of the number with which this page was opened, once. Nobody is called before Enter. */
export function useTelLink(onNumber: (number: string) => void) {
  const [address, setAddress] = useSearchParams();
  const number = address.get(PARAMETER);
  useEffect(() => {
    if (number) {
      setAddress({}, { replace: true });
      onNumber(number);
    }
  }, [number, setAddress, onNumber]);
}
