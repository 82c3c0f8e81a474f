import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { canMaim, CAUTIONS } from '@yugator/core';
import type { Caution, SheetStep } from '@yugator/core';
import page from '../page/page.module.css';

interface Props {
  readonly step: SheetStep;
  readonly isRead: boolean;
  readonly onRead: ((isRead: boolean) => void) | null;
}

/** The dangers of a step, before it. */
export function StepCautions({ step, isRead, onRead }: Props) {
  if (step.cautions.length === 0) return null;
  return (
    <div className={page.caution} role="note">
      {step.cautions.map((key) => {
        const { title, text, technician }: Caution = CAUTIONS[key];
        return (
          <p key={key}>
            <strong>{title}.</strong> {text}
            {technician ? <b> {technician}</b> : null}
          </p>
        );
      })}
      {canMaim(step) ? (
        <FormControlLabel
          control={
            <Checkbox
              checked={isRead}
              disabled={!onRead}
              onChange={(_event, checked) => onRead?.(checked)}
              sx={{ '& svg': { fontSize: 28 } }}
            />
          }
          label={<b>I have read this and made it safe</b>}
          sx={{ minHeight: 48 }}
        />
      ) : null}
    </div>
  );
}
