import { useQuery } from '@tanstack/react-query';
import { byPlaces } from '@yugator/core';
import { useState } from 'react';
import { Choose } from '../form/Choose.js';
import { PrintLinks } from '../page/PrintLinks.js';
import { shelfQueries } from '../shelf/shelfQueries.js';

const ALL = 'all';

/** Labels for the places of the shelf: name, number and bars. */
export function ShelfLabels() {
  const { data = [] } = useQuery(shelfQueries.list());
  const [place, setPlace] = useState(ALL);
  const places = byPlaces(data.filter(({ isRetired }) => !isRetired)).flatMap((each) => each.place || []);
  const query = place === ALL ? '' : `&place=${encodeURIComponent(place)}`;
  return (
    <section aria-label="Labels for the shelf" style={{ marginBottom: 28 }}>
      <h2>Labels for the shelf</h2>
      <p className="soft" style={{ marginBottom: 12 }}>
        Name, number, place, and the code as bars for a scanner: the barcode of an article, else its number.
        They fit the sheets that the labels of a job fit.
      </p>
      {places.length ? (
        <div style={{ maxWidth: 340, marginBottom: 12 }}>
          <Choose<string>
            label="Of which place"
            value={place}
            choices={[[ALL, 'the whole shelf'], ...places.map((each) => [each, each] as const)]}
            onChange={setPlace}
          />
        </div>
      ) : null}
      <PrintLinks word="Print the labels" path="/shelf-paper/labels.pdf" query={query} />
    </section>
  );
}
