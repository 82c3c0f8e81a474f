import { byPlaces } from './places.js';

it('walks along the shelf: places and names in the order of their figures, what has no place last', () => {
  const at = (place: string, name: string) => ({ place, name });
  const articles = [
    at('', 'Rag'),
    at('Bin 10', 'B'),
    at('Bin 2', 'Plug 14'),
    at('Bin 2', 'plug 6'),
    at('Bin 10', 'A'),
  ];
  expect(
    byPlaces(articles).map(({ place, articles: own }) => [place, ...own.map(({ name }) => name)]),
  ).toEqual([
    ['Bin 2', 'plug 6', 'Plug 14'],
    ['Bin 10', 'A', 'B'],
    ['', 'Rag'],
  ]);
});
