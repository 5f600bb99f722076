import { z } from 'zod';
import { useDesk } from '../session/desk.ts';
import { useStage } from '../stores/stage.ts';
import { setStartColour, useStartColour } from './chapters/palette/view.ts';
import { With, compareWith, useComparing, ways } from './compare/comparing.ts';
import { amongCompared, useView } from '../stores/view.ts';
import { browserKeep, readKept } from '../browser-keep.ts';

/** Where somebody was on a desk is kept for it in this browser: chapter, page, screen, how near, and what its palettes are drawn from. */
const KeptView = z.object({
  chapter: z.string().max(40),
  page: z.string().max(40).nullable(),
  screen: z.string().max(200).nullable(),
  startColour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .nullable()
    .default(null),
  compared: z.object({ with: With.nullable(), way: z.enum(ways), at: z.number().min(0).max(1) }).optional(),
  isTogether: z.boolean(),
  near: z
    .object({ scale: z.number().positive(), middle: z.object({ x: z.number(), y: z.number() }) })
    .nullable(),
});

const keyOf = (id: string) => `velvet-ledge:view:${id}`;

/** Goes to where somebody was on a desk; gives back what keeps it up to date until it is stopped. */
export function keepView(id: string): () => void {
  const kept = readKept(browserKeep, keyOf(id), KeptView);
  if (kept) {
    const { chapter, page, screen, startColour, compared, ...stage } = kept;
    setStartColour(startColour);
    useView.setState({ chapter, page, screen });
    useStage.setState(stage);
    if (compared) {
      useComparing.setState({ way: compared.way, at: compared.at });
      if (compared.with && amongCompared(kept)) compareWith(compared.with);
    }
  }
  const keep = () => {
    if (useDesk.getState().history?.present.id !== id) return;
    const { chapter, page, screen } = useView.getState();
    const { isTogether, near } = useStage.getState();
    // A full storage forgets where one was, nothing else.
    const startColour = useStartColour.getState().colour;
    const { with: other, way, at } = useComparing.getState();
    const compared = { with: other, way, at };
    const view = { chapter, page, screen, startColour, compared, isTogether, near };
    browserKeep.tryItem(keyOf(id), JSON.stringify(view));
  };
  const stops = [
    useView.subscribe(keep),
    useStage.subscribe(keep),
    useStartColour.subscribe(keep),
    useComparing.subscribe(keep),
  ];
  return () => stops.forEach((stop) => stop());
}
