import { createPage, text, type Content, type ContentContext } from '../page.ts';

/** The bay at low water from the hide, in the desk's own colours. */
export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const foot = height > 220 ? 36 : 0;
  const sky = height - foot;
  const horizon = sky * 0.62;
  page.box({ x: 0, y: 0, width, height }, page.plainColour('ground'));
  const bands = Math.min(40, Math.max(8, Math.round(horizon / 8)));
  for (let band = 0; band < bands; band++) {
    const [top, end] = [Math.round((horizon * band) / bands), Math.round((horizon * (band + 1)) / bands)];
    page.box({ x: 0, y: top, width, height: end - top }, page.plainColour('second'), {
      opacity: 0.12 + (band / (bands - 1)) * 0.6,
    });
  }
  page.box({ x: 0, y: Math.round(horizon), width, height: sky - horizon }, page.plainColour('second'), {
    opacity: 0.4,
  });
  const sun = Math.min(width, sky) * 0.09;
  page.box(
    { x: width * 0.68 - sun, y: horizon - sun * 1.4, width: 2 * sun, height: 2 * sun },
    page.plainColour('accent'),
    { radius: sun },
  );
  page.outline(hills(width, horizon, sky * 0.16, 0), page.plainColour('raised'), { opacity: 0.75 });
  page.outline(hills(width, horizon + sky * 0.02, sky * 0.1, 2.2), page.plainColour('surface'), {
    opacity: 0.9,
  });
  page.outline(shore(width, horizon, sky), page.plainColour('ground'));
  for (let index = 0; index < 5; index++) {
    const [x, y] = [width * (0.2 + index * 0.055), horizon * (0.42 + ((index * 37) % 5) * 0.05)];
    page.outline(`M${x - 9} ${y - 3}q5 -5 9 2q4 -7 9 -2`, page.plainColour('ink'), {
      stroke: 1.6,
      opacity: 0.8,
    });
  }
  if (foot > 0) {
    page.box({ x: 0, y: sky, width, height: foot }, page.plainColour('surface'));
    page.text('low-water.jpg', text(14), { left: 16 }, sky, foot, width * 0.5);
    page.text('1 of 38', text(14, { colour: 'softInk' }), { right: width - 16 }, sky, foot);
  }
  return page.lay();
}

const at = (value: number) => value.toFixed(1);

function hills(width: number, base: number, high: number, turn: number): string {
  const steps = 24;
  const tops = Array.from({ length: steps + 1 }, (_, step) => {
    const share = step / steps;
    const rise = 0.5 + 0.3 * Math.sin(share * 7 + turn) + 0.2 * Math.sin(share * 17 + turn * 3);
    return `L${at(share * width)} ${at(base - rise * high)}`;
  });
  return `M0 ${at(base)}${tops.join('')}L${at(width)} ${at(base)}Z`;
}

function shore(width: number, horizon: number, foot: number): string {
  const y = horizon + (foot - horizon) * 0.45;
  return `M0 ${at(y)}C${at(width * 0.25)} ${at(y - 18)} ${at(width * 0.4)} ${at(foot - 8)} ${at(width * 0.62)} ${at(
    foot - 16,
  )}S${at(width * 0.9)} ${at(y)} ${at(width)} ${at(y + 10)}V${at(foot)}H0Z`;
}
