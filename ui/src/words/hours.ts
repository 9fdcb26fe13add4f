/** Minutes as they are said. */
export function hours(minutes: number): string {
  const whole = Math.floor(minutes / 60);
  const rest = Math.round(minutes % 60);
  if (whole === 0) return `${rest} minutes`;
  return `${whole} h${rest ? ` ${rest} min` : ""}`;
}
