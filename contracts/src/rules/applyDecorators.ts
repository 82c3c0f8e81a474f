/**
 * Several property decorators as one, applied in the order given. Of several rules that a value breaks, the one applied first is
 * shown; where decorators stand above a property, that is the lowest, so the most basic rule ("a number") stands there.
 */
export function applyDecorators(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, property) => {
    for (const decorate of decorators) decorate(target, property);
  };
}
