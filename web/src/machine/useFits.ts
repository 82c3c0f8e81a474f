import type { FitFieldsDto, FitsDto, MachineDetailDto, UpdateFitsDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { useNotice } from '../page/Notice.js';

/** Writes anew what fits a machine. */
export function useFits(machine: MachineDetailDto, fits: FitsDto) {
  const say = useNotice();
  return useWrite<FitsDto, readonly FitFieldsDto[]>(
    (next) => ({
      method: 'PUT',
      path: `/machines/${machine.id}/fits`,
      body: { fits: [...next], version: fits.version } satisfies UpdateFitsDto,
    }),
    ['machines'],
    () => say(`${machine.tag}: what fits is kept.`),
  );
}
