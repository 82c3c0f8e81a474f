import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { SEVERITIES } from '@yugator/contracts';
import type { DefectPageDto } from '@yugator/contracts';
import { capital } from '@yugator/core';
import { useDeferredValue, useState } from 'react';
import { Choose } from '../form/Choose.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Pager } from '../page/Pager.js';
import { useIsOneOf } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { DefectCard } from './DefectCard.js';
import styles from './defect.module.css';
import { defectQueries } from './defectQueries.js';
import type { DefectFilter } from './defectQueries.js';
import { ReportWhich } from './ReportWhich.js';

const PAGE_SIZE = 50;
const ANY = 'any';

const STATES = [
  ['open', 'Open'],
  ['ended', 'Mended or taken back'],
  ['all', 'All'],
] as const;

function Filters({ filter, onChange }: { filter: DefectFilter; onChange: (filter: DefectFilter) => void }) {
  const set = (part: Partial<DefectFilter>) => onChange({ ...filter, page: 1, ...part });
  return (
    <div className={styles.filters} role="search">
      <TextField
        label="Words, plate or name"
        value={filter.search}
        onChange={({ target }) => set({ search: target.value.slice(0, 100) })}
      />
      <Choose<DefectFilter['state']>
        label="Which"
        value={filter.state}
        choices={STATES}
        onChange={(state) => set({ state })}
      />
      <Choose<string>
        label="How bad"
        value={filter.severity || ANY}
        choices={[
          [ANY, 'Any'] as const,
          ...SEVERITIES.map((key) => [key, capital(SEVERITY_WORDS[key])] as const),
        ]}
        onChange={(severity) => set({ severity: severity === ANY ? '' : severity })}
      />
      <Choose<'all' | 'mine'>
        label="Reported by"
        value={filter.isMine ? 'mine' : 'all'}
        choices={[
          ['all', 'Anybody'],
          ['mine', 'Me'],
        ]}
        onChange={(by) => set({ isMine: by === 'mine' })}
      />
    </div>
  );
}

function Found({ page, isFiltered }: { page: DefectPageDto; isFiltered: boolean }) {
  if (page.total === 0)
    return (
      <Empty title={isFiltered ? 'No defect is like that.' : 'Nothing is known to be wrong.'}>
        <p>{isFiltered ? 'Ask for less.' : 'What somebody reports stands here until a job mends it.'}</p>
      </Empty>
    );
  return (
    <ul className={styles.list}>
      {page.defects.map((defect) => (
        <DefectCard key={defect.id} defect={defect} />
      ))}
    </ul>
  );
}

/** What is wrong in the fleet, worst first; mended defects keep their story. */
export function DefectsPage() {
  const [filter, setFilter] = useState<DefectFilter>({
    state: 'open',
    severity: '',
    machineId: '',
    search: '',
    isMine: false,
    page: 1,
  });
  const { data, error, refetch } = useQuery(defectQueries.list(useDeferredValue(filter)));
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  const isFiltered =
    filter.search !== '' || filter.severity !== '' || filter.isMine || filter.state !== 'open';
  return (
    <>
      <PageHead
        name="Defects"
        title={data && !isFiltered ? headline(data.total) : 'Defects'}
        under={data && isFiltered ? countWords(data.total, 'defect') : undefined}
      />
      {mayReport ? <ReportWhich /> : null}
      <Filters filter={filter} onChange={setFilter} />
      {data ? (
        <>
          <Found page={data} isFiltered={isFiltered} />
          <Pager
            page={filter.page}
            pages={Math.ceil(data.total / PAGE_SIZE)}
            onPage={(page) => setFilter({ ...filter, page })}
          />
        </>
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}

function headline(open: number): string {
  if (open === 0) return 'No defect is open';
  return open === 1 ? 'One defect is open' : `${open} defects are open`;
}
