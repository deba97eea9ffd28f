import type { Schemas } from '@/api/client';
import { absent } from '@/planning/figures/absent';
import { useFigure } from '@/planning/figures/useFigure';
import { onBeforeUnmount, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Reads a step aloud on request, its caution first and its figures in words, in the language of the page. */
export function useReadAloud() {
  const { t, locale } = useI18n();
  const voice = typeof window === 'undefined' ? undefined : window.speechSynthesis;
  const speaking = ref(false);
  const figure = ref<Schemas['Figure'] | undefined>();
  const { shown } = useFigure(figure);

  function inWords(text: string, figures: Record<string, Schemas['Figure']>): string {
    return text.replace(/\{\{\s*([\w.]+)\s*\}\}/g, (_, name: string) => {
      figure.value = figures[name];
      return figures[name] ? shown.value : t(absent(name));
    });
  }

  /** What is said, in the order in which it is wanted at the machine. */
  function sentences(step: Schemas['LessonStep'], figures: Record<string, Schemas['Figure']>): string[] {
    const said = (text: string | null, before = '') => (text ? [`${before} ${inWords(text, figures)}`.trim()] : []);
    return [
      step.title,
      ...said(step.caution, t('lesson.aloud.caution')),
      ...said(step.do),
      ...(step.choice ?? []).flatMap(({ text }) => said(text)),
      ...said(step.why),
      ...said(step.right, t('lesson.aloud.right')),
      ...said(step.wrong, t('lesson.aloud.wrong')),
    ];
  }

  function stop() {
    voice?.cancel();
    speaking.value = false;
  }

  function read(step: Schemas['LessonStep'], figures: Record<string, Schemas['Figure']>) {
    stop();
    if (!voice) return;
    const all = sentences(step, figures).map((words) => {
      const utterance = new SpeechSynthesisUtterance(words);
      utterance.lang = locale.value;
      return utterance;
    });
    const last = all[all.length - 1];
    if (!last) return;
    last.onend = () => (speaking.value = false);
    speaking.value = true;
    all.forEach((utterance) => voice.speak(utterance));
  }

  onBeforeUnmount(stop);
  return { can: voice !== undefined, speaking, read, stop, sentences };
}
