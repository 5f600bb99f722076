const numbers = [
  'twelve',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'quarter',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
] as const;

function minutesInWords(count: number): string {
  if (count < 20) return numbers[count] ?? '';
  const rest = count % 10;
  return rest === 0 ? 'twenty' : `twenty-${numbers[rest] ?? ''}`;
}

/** A time of day as it is said, to the minute: lines that stand one under the other. */
export function timeInWords(hour: number, minute: number): string[] {
  const named = (at: number) => (at % 24 === 0 ? 'midnight' : at === 12 ? 'noon' : (numbers[at % 12] ?? ''));
  const isOnName = hour === 0 || hour === 12;
  if (minute === 0) return isOnName ? [named(hour)] : [named(hour), 'o’clock'];
  if (minute === 30) return ['half past', named(hour)];
  const isPast = minute < 30;
  const count = isPast ? minute : 60 - minute;
  const minutes = count % 5 === 0 ? '' : count === 1 ? ' minute' : ' minutes';
  return [`${minutesInWords(count)}${minutes}`, isPast ? `past ${named(hour)}` : `to ${named(hour + 1)}`];
}
