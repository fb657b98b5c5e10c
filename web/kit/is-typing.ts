/** Kinds of input that take letters; a radio, a slider or a list that only picks does not. */
const WRITES = new Set([
  'text',
  'search',
  'number',
  'email',
  'url',
  'tel',
  'password',
  'date',
  'time',
  'datetime-local',
]);

/** Whether a key pressed there is a letter that is written, and no shortcut. */
export function isTyping({ target }: Pick<KeyboardEvent, 'target'>): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target instanceof HTMLTextAreaElement) return true;
  return target instanceof HTMLInputElement && WRITES.has(target.type) && !target.readOnly;
}

/** For shortcuts that work wherever the focus is, but while something is written. */
export const anywhere = { enableOnFormTags: true, ignoreEventWhen: isTyping } as const;
