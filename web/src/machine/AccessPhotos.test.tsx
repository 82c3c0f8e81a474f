import { screen } from '@testing-library/react';
import { sheetSteps } from '@yugator/core';
import { StepBody } from '../job/StepBody.js';
import { job } from '../testing/jobs.js';
import { machineDetail } from '../testing/machines.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { AccessPhotos } from './AccessPhotos.js';

const PANEL = {
  component: 'engineOil',
  opens: null,
  name: 'Side panel',
  note: 'two clips',
  openMinutes: 2,
  closeMinutes: null,
} as const;
const HOOD = { ...PANEL, component: 'battery', opens: 'hoodOff', name: '' } as const;
const PHOTO = { access: 'own:Side panel', path: '/api/machines/m/access-photos/r' };
const whole = machineDetail();
const machine = machineDetail({
  spec: { ...whole.spec, access: [PANEL, { ...PANEL, component: 'fuelFilter' }, HOOD] },
  accessPhotos: [PHOTO],
});

describe('photos of what is opened', () => {
  it('stand under what the card names, each once, and are taken away', async () => {
    const { sent } = wire({}, () => machine);
    showTo('mechanic', <AccessPhotos machine={machine} mayChange />);
    expect(screen.getAllByRole('figure').map((figure) => figure.firstChild?.textContent)).toEqual([
      'Side panel',
      'Hood off',
    ]);
    expect(screen.getByRole('img', { name: 'How it is opened: Side panel' })).toHaveAttribute(
      'src',
      PHOTO.path,
    );
    await press('Take it away');
    expect(sent).toEqual([
      { method: 'PUT', path: '/api/machines/m/access-photos', body: { access: PHOTO.access, jpeg: null } },
    ]);
  });

  it('are only looked at by others, and nothing is offered where there are none', () => {
    const { unmount } = showTo('viewer', <AccessPhotos machine={machine} mayChange={false} />);
    expect(screen.getAllByRole('figure')).toHaveLength(1);
    expect(screen.queryByRole('button')).toBeNull();
    unmount();
    showTo('viewer', <AccessPhotos machine={{ ...machine, accessPhotos: [] }} mayChange={false} />);
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('are shown at the step that opens it, not where it is closed', () => {
    const open = job({ accessPhotos: [PHOTO] });
    const setUp = { ...open.setUp, spec: { ...open.setUp.spec, access: [PANEL] } };
    const steps = sheetSteps(setUp).filter(({ access }) => access?.name === PHOTO.access);
    expect(steps.map(({ access }) => access?.side)).toEqual(['open', 'close']);
    for (const step of steps) {
      const { unmount } = showTo(
        'mechanic',
        <StepBody job={{ ...open, setUp }} step={step} found={{}} onFound={() => undefined} />,
      );
      expect(screen.queryAllByRole('img')).toHaveLength(step.access?.side === 'open' ? 1 : 0);
      unmount();
    }
  });
});
