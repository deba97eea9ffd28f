import type { Directive } from 'vue';

const EDGE = 8;

/** Moves a panel that hangs under something so far to the left, or above it, that all of it is on the screen. */
export const vInSight: Directive<HTMLElement> = {
  mounted(panel) {
    if (getComputedStyle(panel).position === 'fixed') return;
    const box = panel.getBoundingClientRect();
    const beyond = box.right - (document.documentElement.clientWidth - EDGE);
    if (beyond > 0) panel.style.marginLeft = `${-Math.min(beyond, box.left - EDGE)}px`;
    const above = panel.offsetParent?.getBoundingClientRect().top ?? 0;
    if (box.bottom > window.innerHeight - EDGE && above > box.height + EDGE) {
      panel.style.bottom = '100%';
      panel.style.marginTop = '0';
    }
  },
};
