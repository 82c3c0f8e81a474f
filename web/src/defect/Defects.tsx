import { useQuery } from '@tanstack/react-query';
import type { MachineDto } from '@yugator/contracts';
import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Caution } from '../page/Caution.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { defectQueries } from './defectQueries.js';

const ReportForm = lazy(async () => ({ default: (await import('./ReportForm.js')).ReportForm }));

/** Open defects of a machine, and the way to report one. They are closed by a job. */
export function Defects({ machine }: { machine: MachineDto }) {
  const { today } = useSession();
  const { data } = useQuery(defectQueries.of(machine.id));
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  return (
    <section aria-label="Defects" style={{ marginTop: 16 }}>
      {data?.length ? (
        <Caution title="Open defects" quiet>
          {data.map(({ id, words, severity, foundOn, reportedBy }) => (
            <p key={id}>
              <b>{words}</b>: {SEVERITY_WORDS[severity]}{' '}
              <span className="soft">
                ({reportedBy}, {dayWords(foundOn, today)})
              </span>
            </p>
          ))}
        </Caution>
      ) : null}
      {mayReport ? (
        <DialogButton word="Report a defect" size="small">
          {(close) => <ReportForm machine={machine} onDone={close} />}
        </DialogButton>
      ) : null}
    </section>
  );
}
