/** Where threads of their own find the database. */
export class DatabaseUrl {
  constructor(readonly url: string) {}
}
