/** The mark: a plug whose cord parts in two. */
export function Mark() {
  return (
    <svg
      viewBox="0 0 28 20"
      className="h-5 w-7 text-accent"
      fill="none"
      stroke="currentColor"
      strokeWidth="3"
      strokeLinecap="round"
      aria-hidden="true"
    >
      <circle cx="8" cy="10" r="5.2" />
      <path d="M13.2 10c4 0 4-6 11-6M13.2 10c4 0 4 6 11 6" />
    </svg>
  );
}
