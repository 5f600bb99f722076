/** A line from the middle outward, `angle` degrees clockwise from twelve. Turned here: thousands of turned elements are slow. */
export function spoke(angle: number, from: number, to: number): string {
  const sine = Math.sin((angle * Math.PI) / 180);
  const cosine = Math.cos((angle * Math.PI) / 180);
  const at = (reach: number) => `${(sine * reach).toFixed(2)} ${(-cosine * reach).toFixed(2)}`;
  return `M${at(from)}L${at(to)}`;
}
