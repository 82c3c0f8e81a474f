import { render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { drawnLater } from './drawnLater.js';

const Drawn = ({ weeks }: { weeks: number }) => <p>{weeks} weeks drawn</p>;

it('stands beside its words as soon as it is there', async () => {
  const Chart = drawnLater(() => Promise.resolve(Drawn));
  render(
    <Suspense fallback="on its way">
      <Chart weeks={52} />
    </Suspense>,
  );
  expect(screen.getByText('on its way')).toBeVisible();
  expect(await screen.findByText('52 weeks drawn')).toBeVisible();
});

it('leaves the words alone where it cannot be fetched, and says so', async () => {
  const warn = jest.spyOn(console, 'warn').mockReturnValue();
  const Chart = drawnLater<{ weeks: number }>(() => Promise.reject(new TypeError('Failed to fetch')));
  render(
    <>
      <p>Words</p>
      <Suspense>
        <Chart weeks={52} />
      </Suspense>
    </>,
  );
  expect(await screen.findByText(/The drawing could not be fetched\. Reload the page/)).toBeVisible();
  expect(screen.getByText('Words')).toBeVisible();
  expect(warn).toHaveBeenCalledTimes(1);
  warn.mockRestore();
});
