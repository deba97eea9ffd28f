import type { Schemas } from '@/api/client';

/**
 * Whether an answer is whole. Steps count as put in order once all of them have a place; a scene with nothing marked is not
 * answered, since something is wrong in each.
 */
export function isAnswered(question: Schemas['Question'], answer: string[]): boolean {
  return question.kind === 'order' ? answer.length === question.choices.length : Boolean(answer[0]?.trim());
}
