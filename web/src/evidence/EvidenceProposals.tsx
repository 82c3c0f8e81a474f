import { queryOptions, useQuery } from '@tanstack/react-query';
import type { EvidenceDto, MachineDto } from '@yugator/contracts';
import { lazy, Suspense } from 'react';
import { get } from '../api/request.js';
import { Loading } from '../page/Loading.js';
import { useIsOneOf } from '../session/useSession.js';
import styles from './evidence.module.css';

// Seldom there, and its words of what was found are heavy.
const Proposal = lazy(async () => ({ default: (await import('./Proposal.js')).Proposal }));

function evidenceQuery(machineId: string) {
  return queryOptions({
    queryKey: ['evidence', machineId],
    queryFn: ({ signal }) => get<EvidenceDto[]>(`/machines/${machineId}/evidence`, signal),
    meta: { subjects: ['jobs', 'machines'] },
  });
}

/** What the checks of past jobs say about how often they are worth doing; the crew lead decides. */
export function EvidenceProposals({ machine }: { machine: MachineDto }) {
  const { data } = useQuery(evidenceQuery(machine.id));
  const mayAnswer = useIsOneOf('crewLead');
  if (!data?.length) return null;
  return (
    <section aria-label="What the checks say" className={styles.evidence}>
      <h2>What the checks say</h2>
      <Suspense fallback={<Loading rows={2} />}>
        <ul>
          {data.map((proposal) => (
            <Proposal key={proposal.itemId} machine={machine} proposal={proposal} mayAnswer={mayAnswer} />
          ))}
        </ul>
      </Suspense>
    </section>
  );
}
