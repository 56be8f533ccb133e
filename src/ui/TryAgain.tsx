/** What could not be fetched, why, and a way to ask once more. */
export function TryAgain({
  what,
  failed,
}: {
  what: string;
  failed: { reason: string; again: () => void };
}) {
  return (
    <div role="alert">
      <p className="note">
        {what}: {failed.reason}
      </p>
      <button type="button" className="btn quiet small" onClick={failed.again}>
        Try again
      </button>
    </div>
  );
}
