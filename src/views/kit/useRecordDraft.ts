import { useState } from 'react';
import { type Dimension } from '../../core/units/index.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { recordId } from '../shell/recordId.ts';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** A record of the kit while its form is filled in: half-typed texts, its name and id, what the server refused. */
export function useRecordDraft(key: string) {
  const [text, setText, clear] = useDraft(key);
  const [problem, setProblem] = useState<ProblemDoc>();
  const draft: Record<string, string> = text ? (JSON.parse(text) as Record<string, string>) : {};
  const name = (draft['name'] ?? '').trim();
  return {
    draft,
    problem,
    name,
    id: recordId(name),
    set: (field: string, value: string) => {
      setProblem(undefined);
      setText(JSON.stringify({ ...draft, [field]: value }));
    },
    isEmpty: (field: string) => (draft[field] ?? '').trim() === '',
    /** A figure that was typed whole; undefined else. */
    figure: (field: string, dimension: Dimension): number | undefined => {
      const parsed = readTyped(draft[field] ?? '', dimension);
      return parsed.ok ? parsed.value : undefined;
    },
    /** Keeps the record; true when it was taken. */
    keep: async (
      path: string,
      record: object,
      headers: Readonly<Record<string, string>> = {},
    ): Promise<boolean> => {
      const r = await call('POST', path, record, 'application/json', headers);
      if (r.ok) clear();
      else setProblem(r.problem);
      return r.ok;
    },
  };
}
