import { act, fireEvent, screen } from '@testing-library/react';
import type { Component, ComponentClass } from '@yugator/core';
import { useState } from 'react';
import { showTo } from '../testing/wire.js';
import { optionsFor, searched } from './componentOptions.js';
import { ComponentPick, ComponentsPick } from './ComponentPick.js';

const input = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Done to' });
const type = (text: string) => {
  act(() => input().focus());
  fireEvent.change(input(), { target: { value: text } });
};
const options = () => screen.getAllByRole('option').map(({ textContent }) => textContent);

function Several({
  machineClass = 'zeroTurn',
  first = [],
}: {
  machineClass?: ComponentClass;
  first?: Component[];
}) {
  const [value, setValue] = useState<readonly Component[]>(first);
  return (
    <>
      <ComponentsPick label="Done to" machineClass={machineClass} value={value} onChange={setValue} />
      <output data-testid="chosen">{value.join(' ')}</output>
    </>
  );
}
const chosen = () => screen.getByTestId('chosen').textContent;

describe('the list of components', () => {
  it('offers what machines of the class may have, and always something else, last', () => {
    expect(optionsFor('zeroTurn')).toContain('hydroOil');
    expect(optionsFor('zeroTurn')).not.toContain('coolant');
    expect(optionsFor('compactTractor')).toContain('coolant');
    expect(optionsFor('zeroTurn').at(-1)).toBe('other');
    expect(optionsFor('zeroTurn', ['belt'])).toEqual(['belts', 'deckBelt', 'driveBelt', 'other']);
  });

  it('is searched by any word for a component, in any order', () => {
    const all = optionsFor('compactTractor');
    expect(searched(all, 'filter oil')).toContain('engineOilFilter');
    expect(searched(all, 'ANTIFREEZE')).toEqual(['coolant']);
    expect(searched(all, '')).toEqual(all);
    expect(searched(all, 'xyzzy')).toEqual([]);
  });
});

describe('who picks components', () => {
  it('finds them by a word, takes the first with Enter, and may take several', () => {
    showTo('crewLead', <Several />);
    type('sump');
    expect(options()).toEqual(['engine drain plug']);
    type('engine oil');
    expect(options()).toEqual(['engine oil', 'engine oil filter', 'engine oil heater']);
    fireEvent.keyDown(input(), { key: 'Enter' });
    type('oil filter');
    fireEvent.keyDown(input(), { key: 'Enter' });
    expect(chosen()).toBe('engineOil engineOilFilter');
    fireEvent.keyDown(input(), { key: 'Backspace' });
    expect(chosen()).toBe('engineOil');
  });

  it('is told the way out where there is no such component', () => {
    showTo('crewLead', <Several />);
    type('flux capacitor');
    expect(screen.getByText(/Choose “something else” and let the book say it/)).toBeDefined();
    type('something');
    fireEvent.click(screen.getByRole('option'));
    expect(chosen()).toBe('other');
  });

  it('goes on seeing what was chosen before the class was another', () => {
    showTo('crewLead', <Several machineClass="zeroTurn" first={['coolant']} />);
    expect(screen.getByRole('button', { name: 'coolant' })).toBeDefined();
  });

  it('of one component may take it back, and reads what is wrong with it', async () => {
    function One() {
      const [value, setValue] = useState<Component | null>('fanBelt');
      return (
        <ComponentPick
          label="Done to"
          machineClass="compactTractor"
          kinds={['belt']}
          value={value}
          onChange={setValue}
          fault={value ? undefined : 'Choose from the list.'}
        />
      );
    }
    showTo('crewLead', <One />);
    expect(input().value).toBe('fan belt');
    await act(() => fireEvent.click(screen.getByTitle('Clear')));
    expect(input().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('Choose from the list.')).toBeDefined();
  });
});
