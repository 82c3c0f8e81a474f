import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import { useSession } from '../session/useSession.js';
import type { PaperRowFaults } from './judgePaper.js';
import styles from './paperLog.module.css';
import { exampleDay, isBlank } from './judgePaper.js';
import type { PaperLine, PaperTyped } from './readPaper.js';

interface Props {
  readonly number: number;
  readonly row: PaperTyped;
  readonly lines: readonly PaperLine[];
  readonly faults: PaperRowFaults;
  /** what is wanting is said once somebody meant to keep it */
  readonly tried: boolean;
  readonly onChange: (row: PaperTyped) => void;
  readonly onRemove: () => void;
}

/** One service: its day, its hours, and a tick for each line that was done. */
export const PaperRow = memo(function PaperRow(props: Props) {
  const { number, row, lines, faults, tried, onChange, onRemove } = props;
  const says = (part: keyof PaperRowFaults, isTyped: boolean) =>
    tried || isTyped ? faults[part] : undefined;
  const { site } = useSession();
  const ofDay = says('doneOn', row.day !== '' && row.hours !== '');
  const ofHours = says('life', row.hours.trim() !== '' && row.day !== '');
  const ofItems = says('itemIds', false);
  const wrong = [ofDay, ofHours, ofItems].filter((words) => words !== undefined).join(' ');
  const faultId = `paper-fault-${row.key}`;
  const tick = (itemId: string, isTicked: boolean) =>
    onChange({
      ...row,
      itemIds: isTicked ? [...row.itemIds, itemId] : row.itemIds.filter((id) => id !== itemId),
    });
  return (
    <>
      <tr className={wrong ? styles.wrongAbove : undefined}>
        <td className={styles.day}>
          <TextField
            value={row.day}
            onChange={({ target }) => onChange({ ...row, day: target.value })}
            error={ofDay !== undefined}
            placeholder={exampleDay(site.dateOrder)}
            slotProps={{
              htmlInput: {
                'aria-label': `Day, row ${number}`,
                'aria-describedby': faultId,
                autoComplete: 'off',
              },
            }}
          />
        </td>
        <td className={styles.hours}>
          <TextField
            value={row.hours}
            onChange={({ target }) => onChange({ ...row, hours: target.value })}
            error={ofHours !== undefined}
            slotProps={{
              htmlInput: {
                'aria-label': `Life hours, row ${number}`,
                'aria-describedby': faultId,
                inputMode: 'decimal',
                autoComplete: 'off',
                className: 'fig',
              },
            }}
          />
        </td>
        {lines.map(({ itemId, itemName }) => (
          <td key={itemId} className={styles.tick} data-label={`${itemName}:`}>
            <Checkbox
              size="small"
              checked={row.itemIds.includes(itemId)}
              onChange={(_event, checked) => tick(itemId, checked)}
              slotProps={{ input: { 'aria-label': `${itemName}, row ${number}` } }}
            />
          </td>
        ))}
        <td className={styles.note}>
          <TextField
            value={row.note}
            onChange={({ target }) => onChange({ ...row, note: target.value.slice(0, 300) })}
            error={ofItems !== undefined}
            slotProps={{ htmlInput: { 'aria-label': `Note, row ${number}`, 'aria-describedby': faultId } }}
          />
        </td>
        <td>
          {isBlank(row) ? null : (
            <Button size="small" variant="text" onClick={onRemove} aria-label={`Take row ${number} out`}>
              Take out
            </Button>
          )}
        </td>
      </tr>
      {wrong ? (
        <tr className={styles.wrong}>
          <td id={faultId} colSpan={lines.length + 4}>
            {wrong}
          </td>
        </tr>
      ) : null}
    </>
  );
});
