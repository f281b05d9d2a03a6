import type { ReactNode } from 'react';
import { Mark } from '../ui/Mark';

interface Props {
  title: string;
  about: string;
  children: ReactNode;
}

/** Something that is to be done before anything else, alone on its page. */
export function First({ title, about, children }: Props) {
  return (
    <main className="bg-base-200 min-h-dvh px-4 pt-16">
      <div className="mx-auto max-w-md">
        <Mark />
        <div className="sheet mt-6 p-6">
          <h1 className="text-lg font-bold">{title}</h1>
          <p className="quiet mb-4">{about}</p>
          {children}
        </div>
      </div>
    </main>
  );
}
