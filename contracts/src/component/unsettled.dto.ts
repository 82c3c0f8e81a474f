/** A line of an older version whose free words only the crew lead can turn into a component. */
export class UnsettledDto {
  /** in a service book, among a machine's own items, or on its spec card */
  where!: 'book' | 'machine' | 'card';
  /** of the book or the machine */
  id!: string;
  /** the name of the book, or the tag of the machine */
  of!: string;
  /** the line as it is called */
  line!: string;
  /** what it called its component; the same as the line on a card */
  words!: string;
}
