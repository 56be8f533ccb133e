/** Why the server did not take it: the first field at fault, else the whole of it. */
export function ProblemNote({
  problem,
}: {
  problem: { detail: string; errors: readonly { reason: string }[] } | undefined;
}) {
  if (!problem) return null;
  return (
    <p className="note" role="alert">
      {problem.errors[0]?.reason ?? problem.detail}
    </p>
  );
}
