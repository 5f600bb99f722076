import type { Desk } from '../desk/desk.ts';
import type { Edit } from '../desk/edits/edit.ts';
import type { Judgement } from '../legibility/judge.ts';
import type { Scene } from '../scene/scene.ts';
import type { PictureFacts } from '../wire/wire.ts';

/** One thing of a desk that could be better. */
export interface Finding {
  /** Its own among those of its rule. */
  key: string;
  /** A sentence. */
  told: string;
  /** Id of the part that it is of; null where it is of the whole desk. */
  part: string | null;
  /** What would mend it, the least change first. */
  mends: readonly Mend[];
}

export interface Mend {
  title: string;
  edit: Edit;
}

/** What rules look at. */
export interface Looked {
  desk: Desk;
  scene: Scene;
  /** What is known of pictures of one's own, by id: null where it can't be had; those that are missing are not known yet. */
  pictures: ReadonlyMap<string, PictureFacts | null>;
  /** Every text against the pixels beneath it; null until they were looked at. */
  judgements: readonly Judgement[] | null;
}

/** A rule that a desk is held to: pure. */
export interface Rule {
  id: string;
  title: string;
  /** What is said where nothing is found. */
  fine: string;
  /** Where more is told of it: a chapter of the studio, and one of its pages or its first (null). */
  page: readonly [chapter: string, page: string | null];
  /** Null while what it needs is not known yet. */
  find(looked: Looked): readonly Finding[] | null;
}
