import dayjs from 'dayjs';

/** Today where the person is, as an ISO day. */
export function today(): string {
  return dayjs().format('YYYY-MM-DD');
}

/** “14 Mar 2026” */
export function dayText(iso: string): string {
  return dayjs(iso).format('D MMM YYYY');
}

/** “14 Mar 16:41”, or the hour alone for today. */
export function instantText(iso: string): string {
  const at = dayjs(iso);
  return at.isSame(dayjs(), 'day') ? at.format('HH:mm') : at.format('D MMM HH:mm');
}
