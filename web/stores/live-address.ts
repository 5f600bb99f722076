/** Where a desk is used: one screen of it, or its first. */
export function liveAddress(desk: string, screen: string | null): string {
  return screen === null ? `/live/${desk}` : `/live/${desk}?screen=${encodeURIComponent(screen)}`;
}
