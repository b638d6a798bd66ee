import type { BillLine, BillSheet } from '@sprocket/core';
import { useMemo, useState } from 'react';

/** The bill with each line that is as it was as the same thing it was, so that its row need not be drawn anew. */
export function useSameLines(bill: BillSheet): BillSheet {
  const [kept] = useState(() => new Map<string, { text: string; line: BillLine }>());
  return useMemo(() => {
    const lines = bill.lines.map((line) => {
      const text = JSON.stringify(line);
      const before = kept.get(line.key);
      if (before?.text === text) return before.line;
      kept.set(line.key, { text, line });
      return line;
    });
    return { ...bill, lines };
  }, [bill, kept]);
}
