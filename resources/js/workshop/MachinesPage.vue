<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import DayCheck from './day/DayCheck.vue';
import MachineDialog from './MachineDialog.vue';
import MachineFacts from './MachineFacts.vue';
import ServiceDialog from './ServiceDialog.vue';
import { useShop } from './useShop';
import WorkshopTabs from './WorkshopTabs.vue';

/** All machines: what they can do, whether they are fit, and who may run them. */
const { t, d } = useI18n();
const { teaches, leads } = useMe();
const { machines } = useShop();
const editing = ref<Schemas['Machine'] | 'new' | null>(null);
const serving = ref<Schemas['Machine'] | null>(null);
</script>

<template>
  <WorkshopTabs current="machines" />
  <div class="mt-4 flex flex-wrap items-center gap-4">
    <h1>{{ t('workshop.machines') }}</h1>
    <p class="text-quiet">{{ t('workshop.machinesWords') }}</p>
    <BigButton v-if="leads" class="ml-auto" @click="editing = 'new'">{{ t('workshop.newMachine') }}</BigButton>
  </div>
  <PageState v-slot="{ data }" :data="machines.data.value" :error="machines.error.value" @retry="machines.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('workshop.noMachines') }}</p>
    <ul v-else class="sheet mt-4">
      <li v-for="machine in data" :key="machine.slug" class="border-t border-hairline p-4 first:border-t-0">
        <div class="flex flex-wrap items-start gap-x-6 gap-y-2">
          <div class="min-w-64 flex-1">
            <h2>{{ machine.name }}</h2>
            <p class="text-sm text-quiet">{{ t(`workshop.kind.${machine.kind}`) }}</p>
            <p class="mt-1 font-semibold" :class="machine.in_service ? 'text-alone' : 'text-no'">
              {{
                machine.in_service
                  ? `● ${t('gate.inService')}`
                  : `■ ${t('gate.outOfService')}: ${machine.service_note ?? ''}`
              }}
            </p>
            <p class="mt-1 text-sm text-quiet">
              {{ machine.permits.map((permit) => permit.name).join(', ') || t('gate.noPermit') }}
            </p>
          </div>
          <MachineFacts class="flex-[2]" :machine="machine" />
          <div class="flex max-w-96 flex-wrap gap-2">
            <RouterLink
              :to="{ name: 'gate-screen', params: { machine: machine.slug } }"
              class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
              >{{ t('gate.openScreen') }}</RouterLink
            >
            <BigButton v-if="teaches && (machine.in_service || leads)" @click="serving = machine">{{
              t(machine.in_service ? 'workshop.takeOut' : 'workshop.putBack')
            }}</BigButton>
            <BigButton
              v-if="leads"
              :aria-label="t('workshop.editNamed', { name: machine.name })"
              @click="editing = machine"
              >{{ t('workshop.edit') }}</BigButton
            >
            <DayCheck
              v-if="teaches && machine.in_service && machine.kind !== 'bench'"
              class="mt-2 w-full"
              :machine="machine"
            />
          </div>
        </div>
        <details v-if="machine.services.length > 0" class="mt-2">
          <summary class="inline-flex min-h-12 cursor-pointer items-center text-sm">
            ▸ {{ t('workshop.history', machine.services.length) }}
          </summary>
          <ol class="ml-4 text-sm">
            <li v-for="entry in machine.services" :key="entry.at + entry.reason">
              <span class="reading">{{ d(entry.at, { dateStyle: 'medium', timeStyle: 'short' }) }}</span>
              {{ entry.in_service ? `● ${t('gate.inService')}` : `■ ${t('gate.outOfService')}` }}: {{ entry.reason }}
              <span class="text-quiet">{{ entry.by ?? '' }}</span>
            </li>
          </ol>
        </details>
      </li>
    </ul>
  </PageState>
  <MachineDialog v-if="editing" :machine="editing === 'new' ? null : editing" @close="editing = null" />
  <ServiceDialog v-if="serving" :machine="serving" @close="serving = null" />
</template>
