import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { AUDIT_ACTS } from '@yugator/contracts';
import type { AuditEntryDto, AuditPageDto, AuditQueryDto } from '@yugator/contracts';
import { parseCivilDate } from '@yugator/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { get } from '../api/request.js';
import { download } from '../books/download.js';
import { csvText } from '../csv/csv.js';
import { DayPicker } from '../form/DayPicker.js';
import form_ from '../form/form.module.css';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { Pager } from '../page/Pager.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { peopleQueries } from '../people/peopleQueries.js';
import { momentWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { ACT_WORDS } from './actWords.js';
import { auditQueries, queryText } from './auditQueries.js';

const PAGE_SIZE = 100;
/** A choice of everything is a choice too, and is shown. */
const SHOWN = { select: { displayEmpty: true }, inputLabel: { shrink: true } } as const;
/** An export asks page after page; two years of a busy crew are fewer. */
const MOST_PAGES = 500;

type Filter = Omit<AuditQueryDto, 'page'>;

function filterOf(parameters: URLSearchParams): Filter {
  const act = AUDIT_ACTS.find((each) => each === parameters.get('act'));
  const filter: Filter = {};
  if (act) filter.act = act;
  for (const name of ['personId', 'from', 'to'] as const) {
    const value = parameters.get(name);
    if (value) filter[name] = value;
  }
  return filter;
}

/** All that matches, as CSV. */
async function exportAll(filter: Filter): Promise<void> {
  const entries: AuditEntryDto[] = [];
  for (let page = 1; page <= MOST_PAGES; page += 1) {
    const { entries: more, total } = await get<AuditPageDto>(`/audit?${queryText({ ...filter, page })}`);
    entries.push(...more);
    if (entries.length >= total || more.length === 0) break;
  }
  const rows = entries.map(({ at, act, by, subject, address }) => [at, ACT_WORDS[act], by, subject, address]);
  download('audit.csv', 'text/csv', csvText([['at', 'what', 'who', 'whom or what', 'from'], ...rows]));
}

function Row({ entry }: { entry: AuditEntryDto }) {
  const { site, today } = useSession();
  return (
    <tr>
      <td className={table.short}>{momentWords(entry.at, site.timeZone, today)}</td>
      <td>
        <b>{ACT_WORDS[entry.act]}</b>
      </td>
      <td data-label="By:">{entry.by || 'nobody signed in'}</td>
      <td>{entry.subject}</td>
      <td data-label="From:">{entry.address}</td>
    </tr>
  );
}

function Entries({ filter }: { filter: Filter }) {
  const [page, setPage] = useState(1);
  const { data, error, refetch } = useQuery(auditQueries.page({ ...filter, page }));
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  if (data.total === 0) {
    return (
      <Empty title="Nothing in the list matches.">
        <p className="soft">Take a filter away, or look at other days.</p>
      </Empty>
    );
  }
  const pages = Math.ceil(data.total / PAGE_SIZE);
  return (
    <>
      <p className="soft" role="status" style={{ marginBottom: 8 }}>
        {countWords(data.total, 'entry', 'entries')}
        {pages > 1 ? `, page ${page} of ${pages}` : ''}
      </p>
      <table className={table.table}>
        <thead>
          <tr>
            <th>When</th>
            <th>What</th>
            <th>By</th>
            <th>Whom or what</th>
            <th>From</th>
          </tr>
        </thead>
        <tbody>
          {data.entries.map((entry) => (
            <Row key={entry.id} entry={entry} />
          ))}
        </tbody>
      </table>
      <Pager page={page} pages={pages} onPage={setPage} />
    </>
  );
}

/** Who did what, for the crew lead: filtered, page by page, and as a file. */
function AuditList() {
  const [parameters, setParameters] = useSearchParams();
  const people = useQuery(peopleQueries.list());
  const say = useNotice();
  const filter = filterOf(parameters);
  const choose = (name: string, value: string) =>
    setParameters(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true, flushSync: true },
    );
  const day = (name: 'from' | 'to', label: string) => (
    <DayPicker
      label={label}
      value={filter[name] ?? ''}
      onChange={(chosen) => {
        // A day that is half typed filters nothing yet.
        if (chosen === '' || parseCivilDate(chosen)) choose(name, chosen);
      }}
    />
  );
  return (
    <>
      <PageHead
        name="Audit list"
        title="Audit list"
        under="Who did what, when and from where. Kept for two years."
      >
        <Button onClick={() => void exportAll(filter).catch((error: unknown) => say(sentenceOf(error)))}>
          Export as CSV
        </Button>
      </PageHead>
      <div className={form_.grid} style={{ marginBottom: 16, maxWidth: 960 }}>
        <TextField
          select
          label="What"
          slotProps={SHOWN}
          value={filter.act ?? ''}
          onChange={(event) => choose('act', event.target.value)}
        >
          <MenuItem value="">Everything</MenuItem>
          {AUDIT_ACTS.map((act) => (
            <MenuItem key={act} value={act}>
              {ACT_WORDS[act]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="By"
          slotProps={SHOWN}
          value={people.data ? (filter.personId ?? '') : ''}
          onChange={(event) => choose('personId', event.target.value)}
        >
          <MenuItem value="">Everybody</MenuItem>
          {(people.data ?? []).map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        {day('from', 'From the day')}
        {day('to', 'To the day')}
      </div>
      <Entries key={queryText(filter)} filter={filter} />
    </>
  );
}

/** The audit list; whoever is not the crew lead is told whose it is. */
export function AuditPage() {
  if (useIsOneOf('crewLead')) return <AuditList />;
  return (
    <>
      <PageHead name="Audit list" title="Audit list" />
      <Empty title="The audit list is for the crew lead.">
        <p className="soft">Ask the crew lead for what you want to know.</p>
      </Empty>
    </>
  );
}
