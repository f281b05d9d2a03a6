import { IconChevronDown } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';

interface Props {
  word: string;
  /** Whether something of it is set: one should see that it counts. */
  on?: boolean;
  children: ReactNode;
}

/** Keys in a row with others; where they would take half of the screen, behind one key of their own. */
export function BehindKey({ word, on = false, children }: Props) {
  const [shown, setShown] = useState(false);
  return (
    <>
      <button
        type="button"
        className={`btn lg:hidden ${on ? 'btn-primary' : 'btn-plain'}`}
        aria-expanded={shown}
        onClick={() => setShown(!shown)}
      >
        {word}
        <IconChevronDown size={16} aria-hidden="true" className={shown ? 'rotate-180' : ''} />
      </button>
      <div className={`lg:contents ${shown ? 'flex basis-full flex-wrap gap-2' : 'max-lg:hidden'}`}>
        {children}
      </div>
    </>
  );
}
