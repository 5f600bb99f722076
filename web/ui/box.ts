/** How a field that takes text looks. */
export const box =
  'h-8 min-w-0 rounded-lg border border-transparent bg-pit px-2.5 text-chalk outline-offset-0 placeholder:text-dust/70 hover:border-seam';
