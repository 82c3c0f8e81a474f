import { AsyncLocalStorage } from 'node:async_hooks';

/**
 * What Sequelize asks of a continuation-local store, kept by Node's own: inside a unit of work every query finds the
 * transaction by itself and cannot run beside it by oversight.
 */
class AmbientStore {
  private readonly storage = new AsyncLocalStorage<Map<string, unknown>>();

  run<T>(work: (context: Map<string, unknown>) => T): T {
    const context = new Map(this.storage.getStore());
    return this.storage.run(context, () => work(context));
  }

  get(key: string): unknown {
    return this.storage.getStore()?.get(key);
  }

  set(key: string, value: unknown): void {
    this.storage.getStore()?.set(key, value);
  }

  bind<F extends (...args: never[]) => unknown>(work: F): F {
    return AsyncLocalStorage.bind(work);
  }
}

export const ambient = new AmbientStore();
