import type { JobDto } from '@yugator/contracts';
import { composeSheet } from '@yugator/core';
import type { Sheet } from '@yugator/core';
import { useMemo } from 'react';

/** The sheet of a job; composed anew only when the machine, the shop or the items change. */
export function useSheet({ setUp }: Pick<JobDto, 'setUp'>): Sheet {
  const text = JSON.stringify(setUp);
  return useMemo(() => {
    const same: JobDto['setUp'] = JSON.parse(text);
    return composeSheet(same);
  }, [text]);
}
