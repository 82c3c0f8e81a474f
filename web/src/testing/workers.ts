/** What the workers of a page were asked, the last asked last, and how many were ended; `say` has the last one say something. */
export interface PageWorkers<Ask, Said> {
  readonly asked: readonly Ask[];
  readonly ended: number;
  say(said: Said): void;
}

/** Stands for the workers of a page, which jsdom has none of, in the tests of a file. */
export function pageWorkers<Ask, Said>(): PageWorkers<Ask, Said> {
  let asked: Ask[] = [];
  let ended = 0;
  let last: EventTarget | null = null;

  function PageWorker() {
    const worker = new EventTarget();
    const postMessage = (ask: Ask) => {
      asked.push(ask);
      last = worker;
    };
    const terminate = () => {
      ended += 1;
    };
    return Object.assign(worker, { postMessage, terminate });
  }

  beforeEach(() => {
    [asked, ended, last] = [[], 0, null];
    Object.assign(globalThis, { Worker: PageWorker });
  });
  afterAll(() => {
    Reflect.deleteProperty(globalThis, 'Worker');
  });
  return {
    get asked() {
      return asked;
    },
    get ended() {
      return ended;
    },
    say(said) {
      if (!last) throw new Error('No worker was asked anything.');
      last.dispatchEvent(new MessageEvent('message', { data: said }));
    },
  };
}
