<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CodeField from './CodeField.vue';

/** One's own second factor: password, square, code, and the recovery codes to be written down. */
defineProps<{ state: Schemas['Person']['second_factor'] }>();
const { t } = useI18n();
const step = ref<'rest' | 'on' | 'off' | 'scan' | 'codes'>('rest');
const password = ref('');
const code = ref('');
const prepared = ref<Schemas['FactorSecret'] | null>(null);
const codes = ref<string[]>([]);

const prepare = useAction(
  () => must(api.POST('/api/people/me/second-factor', { body: { password: password.value } })),
  (made) => {
    prepared.value = made;
    rest('scan');
  },
);
const confirm = useAction(
  () => must(api.PUT('/api/people/me/second-factor', { body: { code: code.value } })),
  (made) => {
    codes.value = made.recovery_codes;
    rest('codes');
  },
);
const turnOff = useAction(
  () => must(api.DELETE('/api/people/me/second-factor', { body: { password: password.value } })),
  () => rest('rest'),
);
function rest(next: typeof step.value) {
  password.value = '';
  code.value = '';
  step.value = next;
}
/** Read in groups of four, as it is typed into a phone. */
const grouped = (key: string) => key.replace(/(.{4})/g, '$1 ').trim();
const print = () => window.print();
</script>

<template>
  <section class="border-t border-hairline pt-4">
    <h2>{{ t('people.factor.title') }}</h2>
    <p class="print:hidden">{{ t('people.factor.words') }}</p>
    <p class="mt-2 font-semibold print:hidden" :class="{ 'text-alone': state === 'on', 'text-no': state === 'wanted' }">
      {{
        state === 'on'
          ? `● ${t('people.factor.isOn')}`
          : state === 'wanted'
            ? `■ ${t('people.factor.wanted')}`
            : `○ ${t('people.factor.isOff')}`
      }}
    </p>

    <div v-if="step === 'rest'" class="mt-3">
      <BigButton v-if="state === 'on'" @click="rest('off')">{{ t('people.factor.turnOff') }}</BigButton>
      <BigButton v-else tone="main" @click="rest('on')">{{ t('people.factor.setUp') }}</BigButton>
    </div>

    <form
      v-else-if="step === 'on' || step === 'off'"
      class="mt-3 max-w-md space-y-4"
      @submit.prevent="step === 'on' ? prepare.run(undefined) : turnOff.run(undefined)"
    >
      <SecretField
        v-model="password"
        kind="password"
        :label="t('people.password')"
        :error="(step === 'on' ? prepare : turnOff).fieldErrors.value.password?.[0]"
      />
      <ErrorNote
        v-if="!(step === 'on' ? prepare : turnOff).fieldErrors.value.password"
        :error="(step === 'on' ? prepare : turnOff).error.value"
        @retry="step === 'on' ? prepare.run(undefined) : turnOff.run(undefined)"
      />
      <div class="flex flex-wrap gap-3">
        <BigButton
          type="submit"
          :tone="step === 'on' ? 'main' : 'no'"
          :busy="prepare.busy.value || turnOff.busy.value"
          >{{ t(step === 'on' ? 'people.factor.setUp' : 'people.factor.turnOff') }}</BigButton
        >
        <BigButton @click="rest('rest')">{{ t('ui.cancel') }}</BigButton>
      </div>
    </form>

    <form v-else-if="step === 'scan' && prepared" class="mt-3 space-y-4" @submit.prevent="confirm.run(undefined)">
      <p>{{ t('people.factor.scan') }}</p>
      <div class="flex flex-wrap items-center gap-6">
        <!-- White round the square, or a camera does not find it on a dark page. -->
        <img :src="prepared.square" :alt="t('people.factor.key')" width="220" height="220" class="bg-white p-3" />
        <p>
          <span class="block text-sm text-quiet">{{ t('people.factor.key') }}</span>
          <span class="reading text-lg break-all">{{ grouped(prepared.secret) }}</span>
        </p>
      </div>
      <CodeField
        v-model="code"
        class="max-w-56"
        :label="t('people.factor.enter')"
        :error="confirm.fieldErrors.value.code?.[0]"
      />
      <ErrorNote v-if="!confirm.fieldErrors.value.code" :error="confirm.error.value" @retry="confirm.run(undefined)" />
      <div class="flex flex-wrap gap-3">
        <BigButton type="submit" tone="main" :busy="confirm.busy.value">{{ t('people.factor.confirm') }}</BigButton>
        <BigButton @click="rest('rest')">{{ t('ui.cancel') }}</BigButton>
      </div>
    </form>

    <div v-else-if="step === 'codes'" class="mt-3 space-y-4" role="status">
      <p>{{ t('people.factor.codes') }}</p>
      <ul class="reading grid max-w-md grid-cols-2 gap-x-6 gap-y-1 border border-quiet p-4 text-lg">
        <li v-for="each in codes" :key="each">{{ each }}</li>
      </ul>
      <div class="flex flex-wrap gap-3 print:hidden">
        <BigButton tone="main" @click="((codes = []), rest('rest'))">{{ t('people.factor.kept') }}</BigButton>
        <BigButton @click="print">{{ t('people.factor.printIt') }}</BigButton>
      </div>
    </div>
  </section>
</template>
