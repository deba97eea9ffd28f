import { useLocalStorage } from '@vueuse/core';
import { computed, onScopeDispose, ref } from 'vue';

/** Where a gauge's program listens on this very device. Nothing else is asked. */
const PORT = 4711;

/**
 * A gauge with a cable: its program on this device hands each reading over a local socket, and it lands where the cursor is, as if
 * it had been typed. A gauge that types needs none of this.
 */
export function useCaliper(focus: () => Promise<void> | undefined) {
  const wanted = useLocalStorage('millstep.caliper', false);
  const connected = ref(false);
  const failed = ref(false);
  let socket: WebSocket | null = null;

  async function type(reading: string) {
    const field = document.activeElement;
    if (!(field instanceof HTMLInputElement) || !field.classList.contains('reading')) await focus();
    const target = document.activeElement;
    if (!(target instanceof HTMLInputElement)) return;
    target.value = reading;
    target.dispatchEvent(new Event('input', { bubbles: true }));
    // As a gauge of the keyboard kind ends each figure.
    target.form?.requestSubmit();
  }
  function open() {
    if (typeof WebSocket === 'undefined' || socket !== null) return;
    failed.value = false;
    socket = new WebSocket(`ws://127.0.0.1:${PORT}/`);
    socket.onopen = () => (connected.value = true);
    socket.onmessage = (event: MessageEvent<string>) => void type(event.data.trim());
    socket.onclose = () => {
      failed.value = !connected.value;
      connected.value = false;
      socket = null;
    };
  }
  function close() {
    socket?.close();
    socket = null;
  }
  if (wanted.value) open();
  onScopeDispose(close);

  return {
    offered: computed(() => typeof WebSocket !== 'undefined'),
    state: computed(() => (connected.value ? 'on' : failed.value ? 'none' : 'off')),
    toggle: () => {
      wanted.value = !connected.value;
      if (wanted.value) open();
      else close();
    },
  };
}
