/** One thing that desks are worked out with: what is known of it at first. What is learned of it later is put into that. */
export class Subject<Known> {
  constructor(readonly atFirst: () => Known) {}
}

/**
 * All that desks are worked out with and that comes when the first of them needs it: how kinds, menus, windows and
 * expressions are worked out, how sources are read, how wide letters are. It is handed to whoever solves, and only ever
 * grows: what was learned once stays.
 */
export class Library {
  readonly #known = new Map<Subject<unknown>, unknown>();

  on<Known>(subject: Subject<Known>): Known {
    let known = this.#known.get(subject) as Known | undefined;
    if (known === undefined) this.#known.set(subject, (known = subject.atFirst()));
    return known;
  }
}

/** What a page or a command has learned: whoever names no other one means this. */
export const ownLibrary = new Library();
