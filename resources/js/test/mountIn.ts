import { speakFor } from '@/api/client';
import { queryClient } from '@/api/queries';
import { i18n } from '@/i18n';
import { meQuery } from '@/api/useMe';
import { VueQueryPlugin } from '@tanstack/vue-query';
import { mount, RouterLinkStub, type ComponentMountingOptions } from '@vue/test-utils';
import type { Component } from 'vue';

/** Signs somebody in for a component's test. */
export function signedIn(role: 'lead' | 'instructor' | 'learner' | 'auditor' = 'learner', units: 'mm' | 'in' = 'mm') {
  speakFor(7);
  queryClient.setQueryData(meQuery.queryKey, {
    person: { id: 7, name: 'Ada Example', email: 'ada@millstep.example', pin: 'set', role, units },
    demo: true,
  });
}

/** Mounts a component as the application does, its links as stubs. */
export function mountIn<Props extends object>(
  component: Component,
  props: Props,
  options: ComponentMountingOptions<Component> = {},
) {
  return mount(component, {
    props,
    global: { plugins: [i18n, [VueQueryPlugin, { queryClient }]], stubs: { RouterLink: RouterLinkStub } },
    ...options,
  } as never);
}
