import { mergedNumbers } from './makerNumbers.js';

const sold = (maker: string, number: string, supersededBy = '') => ({ maker, number, supersededBy });

describe('the numbers of two articles that became one', () => {
  it('are its own first, and what it lacks of the other', () => {
    const into = { number: null, barcode: '77', makerNumbers: [sold('Verrick', 'VF 1', 'VF 2')] };
    const twin = { number: 'F-9', barcode: null, makerNumbers: [sold('Marlow', 'M 1')] };
    expect(mergedNumbers(into, twin)).toEqual({
      number: 'F-9',
      barcode: '77',
      makerNumbers: [sold('Verrick', 'VF 1', 'VF 2'), sold('Marlow', 'M 1')],
    });
  });

  it('keep both codes of the other, and what it says of a number that both have', () => {
    const into = { number: 'F-1', barcode: '77', makerNumbers: [sold('Verrick', 'VF 1', 'VF 2')] };
    const twin = { number: 'F-9', barcode: '88', makerNumbers: [sold('Verrick', 'vf-1'), sold('', 'F-9')] };
    expect(mergedNumbers(into, twin)).toEqual({
      number: 'F-1',
      barcode: '77',
      makerNumbers: [sold('Verrick', 'VF 1', 'VF 2'), sold('', 'F-9'), sold('', '88')],
    });
  });
});
