/** How menus look, whether opened by a button or by the right button. */
export const menuPanel =
  'z-50 min-w-52 rounded-xl border border-seam bg-nap p-1 text-chalk shadow-2xl max-h-[min(80vh,var(--radix-dropdown-menu-content-available-height,80vh))] overflow-y-auto';
export const menuItem =
  'flex h-8 w-full cursor-default select-none items-center justify-between gap-6 rounded-md px-2.5 outline-none data-[disabled]:opacity-40 data-[highlighted]:bg-brass data-[highlighted]:text-on-brass';
export const menuLine = 'my-1 h-px bg-seam';
export const menuLabel = 'px-2.5 pb-1 pt-1.5 text-[12px] text-dust';
