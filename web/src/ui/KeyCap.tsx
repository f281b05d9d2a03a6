/**
 * A key beside the word of what it does. For the eye only: whoever hears the page is told of keys by
 * `aria-keyshortcuts` on the control.
 */
export function KeyCap({ name }: { name: string }) {
  return (
    <kbd aria-hidden="true" className="kbd">
      {name}
    </kbd>
  );
}
