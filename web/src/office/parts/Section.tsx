import type { ReactNode } from 'react';

interface Props {
  /** By which it is reached from the margin. */
  id: string;
  title: string;
  /** What it is for, in a sentence. */
  about: string;
  /** At the right of the title. */
  keys?: ReactNode;
  children: ReactNode;
}

/** A register of the office. */
export function Section({ id, title, about, keys, children }: Props) {
  return (
    <section id={id} aria-label={title} className="sheet scroll-mt-2 px-4 py-3 sm:px-5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-lg font-bold">{title}</h2>
        <div className="ml-auto flex flex-wrap items-center gap-2">{keys}</div>
      </div>
      <p className="quiet mb-2 text-sm">{about}</p>
      {children}
    </section>
  );
}

/** What was refused, and the keys with which a form is kept or put away. */
export function FormFoot(props: {
  error: string;
  busy: boolean;
  keep: string;
  cancel?: string;
  onCancel?: () => void;
  children?: ReactNode;
}) {
  return (
    <>
      <p role="alert" className="text-error min-h-6 font-semibold">
        {props.error}
      </p>
      <p className="flex flex-wrap items-center gap-2">
        <button type="submit" className="btn btn-primary" aria-disabled={props.busy}>
          {props.keep}
        </button>
        {props.onCancel && (
          <button type="button" className="btn btn-plain" onClick={props.onCancel}>
            {props.cancel}
          </button>
        )}
        <span className="ml-auto flex flex-wrap gap-2">{props.children}</span>
      </p>
    </>
  );
}
