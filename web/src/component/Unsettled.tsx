import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { UnsettledDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Failed } from '../page/Failed.js';
import table from '../page/table.module.css';
import { siteQueries } from '../site/siteQueries.js';

const WHERE: Record<UnsettledDto['where'], (of: string) => string> = {
  book: (of) => of,
  machine: (of) => `${of}, items of its own`,
  card: (of) => `${of}, spec card`,
};

function pathOf({ where, id }: UnsettledDto): string {
  if (where === 'book') return `/books/${id}`;
  return where === 'card' ? `/fleet/${id}/spec` : `/fleet/${id}/details`;
}

/** Lines that an older version kept in words of its own, until the crew lead says what they are done to. */
export function Unsettled() {
  const unsettled = useQuery(siteQueries.unsettled());
  if (unsettled.error) return <Failed error={unsettled.error} again={unsettled.refetch} />;
  if (!unsettled.data?.length) return null;
  return (
    <section aria-label="Components to settle" style={{ marginTop: 32 }}>
      <h2>Components to settle</h2>
      <p className="soft" style={{ marginBottom: 8 }}>
        Books and cards name components from one list now. These words of yours are on none: say what they
        are. Until then such lines stay due as they were, and their work is as their book says.
      </p>
      <table className={table.table}>
        <thead>
          <tr>
            <th>Line</th>
            <th>In its words</th>
            <th>Stands in</th>
            <th>
              <span className="visually-hidden">Settle</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {unsettled.data.map((each, index) => (
            <tr key={index}>
              <td>
                <b>{each.line}</b>
              </td>
              <td data-label="In its words:">{each.words}</td>
              <td data-label="Stands in:">{WHERE[each.where](each.of)}</td>
              <td>
                <Button
                  component={Link}
                  to={pathOf(each)}
                  size="small"
                  aria-label={`Settle ${each.line} of ${each.of}`}
                >
                  Settle
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
