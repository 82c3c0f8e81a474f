import type { MachineDetailDto } from '@yugator/contracts';
import { Defects } from '../defect/Defects.js';
import { EvidenceProposals } from '../evidence/EvidenceProposals.js';
import { Thirsty } from '../topUp/Consumption.js';
import { Schedule } from './Schedule.js';

/** What a machine's page opens on: its schedule, what its checks propose, and its open defects. */
export function DueNow({ machine }: { machine: MachineDetailDto }) {
  return (
    <>
      <Thirsty machineId={machine.id} />
      <Schedule machine={machine} />
      <EvidenceProposals machine={machine} />
      <Defects machine={machine} />
    </>
  );
}
