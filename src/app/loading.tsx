/** Shown only when a sheet takes longer than a moment. */
export default function Loading() {
  return (
    <p role="status" className="p-4">
      Loading…
    </p>
  );
}
