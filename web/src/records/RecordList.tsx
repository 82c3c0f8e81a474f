import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { Pager } from '../page/Pager.js';
import { PrintLinks } from '../page/PrintLinks.js';
import { useIsOneOf } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { recordQueries } from './recordQueries.js';
import { RecordTable } from './RecordTable.js';

const PAGE_SIZE = 50;

/** Records page by page: of one machine, or of those that match a search. Give it a key that changes with the filter. */
export function RecordList({ machineId, search }: { machineId?: string; search?: string }) {
  const [page, setPage] = useState(1);
  const isLead = useIsOneOf('crewLead');
  const [withRounds, setWithRounds] = useState(false);
  const { data, error, refetch } = useQuery(
    recordQueries.page({
      page,
      withRounds,
      ...(machineId ? { machineId } : {}),
      ...(search ? { search } : {}),
    }),
  );
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const rounds = (
    <div>
      <FormControlLabel
        control={
          <Switch
            checked={withRounds}
            onChange={(_event, checked) => {
              setPage(1);
              setWithRounds(checked);
            }}
          />
        }
        label="Walk-rounds and top-ups too"
      />
      {machineId && isLead ? (
        <Button component={Link} size="small" to={`/fleet/${machineId}/paper-log`}>
          Take over from paper
        </Button>
      ) : null}
    </div>
  );
  if (data.total === 0) {
    return (
      <>
        {rounds}
        <Empty title={search ? `Nothing on record matches “${search}”.` : 'Nothing is on record yet.'}>
          <p className="soft">
            {search
              ? 'Try fewer letters, or the tag alone.'
              : 'A job that is signed off writes the first record.'}
          </p>
        </Empty>
      </>
    );
  }
  const pages = Math.ceil(data.total / PAGE_SIZE);
  return (
    <>
      {machineId ? (
        <p style={{ marginBottom: 8 }}>
          <PrintLinks word="Print the whole record" path={`/machines/${machineId}/record.pdf`} />
        </p>
      ) : null}
      {rounds}
      <p className="soft" role="status" style={{ marginBottom: 8 }}>
        {countWords(data.total, 'record')}
        {pages > 1 ? `, page ${page} of ${pages}` : ''}
      </p>
      <RecordTable records={data.records} withMachine={!machineId} />
      <Pager page={page} pages={pages} onPage={setPage} />
    </>
  );
}
