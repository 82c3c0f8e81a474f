/** What the decorators of a class, and of those that it extends, were given as their target: its own first. */
export function* prototypesOf(dto: new () => object): Generator<object> {
  for (let at: object | null = dto.prototype; at; at = Object.getPrototypeOf(at)) yield at;
}
