import { useQuery } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import type { DefectDto, MachineRefDto } from '@yugator/contracts';
import { lazy } from 'react';
import { Link } from 'react-router';
import { DialogButton } from '../form/DialogButton.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Caution } from '../page/Caution.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { defectQueries } from './defectQueries.js';
import { searchWords } from './searchWords.js';

const ReportForm = lazy(async () => ({ default: (await import('./ReportForm.js')).ReportForm }));

/** A defect, and what was found while it was searched why the machine does not start. */
function OpenDefect({ defect, mayReport }: { defect: DefectDto; mayReport: boolean }) {
  const { today, site } = useSession();
  const { id, machine, words, severity, foundOn, reportedBy, searches, photos, plannedOn } = defect;
  return (
    <div>
      <p>
        <b>{words}</b>: {SEVERITY_WORDS[severity]}{' '}
        <span className="soft">
          ({reportedBy}, {dayWords(foundOn, today)}
          {plannedOn ? `; in the workshop ${dayWords(plannedOn, today)}` : ''})
        </span>
        {mayReport ? (
          <>
            {' '}
            <Link to={searchPath(machine.id, id)} aria-label={`${words}: search why it does not start`}>
              Does not start?
            </Link>
          </>
        ) : null}
      </p>
      {photos.map((path, at) => (
        <a key={path} href={`/api${path}`} target="_blank" rel="noreferrer">
          Photo {at + 1}
          <span className="visually-hidden"> of {words}, opens in a new tab</span>{' '}
        </a>
      ))}
      {searches.map((search, at) => (
        <p key={at}>
          Searched: {searchWords(search, site.unitSystem)}{' '}
          <span className="soft">
            ({search.by}, {dayWords(search.on, today)})
          </span>
        </p>
      ))}
    </div>
  );
}

/** Where it is searched why a machine does not start; from a defect, the answer is kept with it. */
function searchPath(machineId: string, defectId?: string): string {
  const about = new URLSearchParams({ machine: machineId, ...(defectId ? { defect: defectId } : {}) });
  return `/bench/no-start?${about.toString()}`;
}

/** Open defects of a machine, and the way to report one. They are closed by a job. */
export function Defects({ machine }: { machine: MachineRefDto }) {
  const { data } = useQuery(defectQueries.of(machine.id));
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  return (
    <section aria-label="Defects" style={{ marginTop: 16 }}>
      {data?.length ? (
        <Caution title="Open defects" quiet>
          {data.map((defect) => (
            <OpenDefect key={defect.id} defect={defect} mayReport={mayReport} />
          ))}
        </Caution>
      ) : null}
      {mayReport ? (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
          <DialogButton word="Report a defect" size="small">
            {(close) => <ReportForm machine={machine} onDone={close} />}
          </DialogButton>
          <Button component={Link} to={searchPath(machine.id)} size="small">
            It does not start
          </Button>
        </div>
      ) : null}
    </section>
  );
}
