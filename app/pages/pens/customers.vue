<script setup lang="ts">
import { customerQuerySchema, customerSchema, errorsOf, newCustomerSchema } from '#schemas'
import type { Customer } from '#contract'

/** Whom pens are made for: how to reach them, what to remember; and that they can be forgotten. */
useHead({ title: 'Customers · Oxlip' })
const store = useOrders()
const { asked, choose } = useFilter(customerQuerySchema, ['text'], 'text')
const text = computed(() => asked.value.text ?? '')
const looked = useLooked(() => text.value, words => choose('text', words))
const list = useCustomerList(() => asked.value)
const { failed, loaded, again } = useLoad(list.load)
watch(asked, again)

type Form = Pick<Customer, 'id' | 'name' | 'reach' | 'remark'> & { version?: number }
const form = ref<Form>()
const { errors, trouble, busy, attempt } = useAttempt()
/** The one that is asked about before they are forgotten. */
const asking = ref(false)
function edit(one?: Customer) {
  form.value = one ? { ...one } : { id: newId(), name: '', reach: '', remark: '' }
  errors.value = {}
  trouble.value = ''
  asking.value = false
}
async function keep() {
  if (!form.value) return
  const { id, version, ...said } = form.value
  errors.value = version === undefined ? errorsOf(newCustomerSchema, { id, ...said }) : errorsOf(customerSchema, { version, ...said })
  if (Object.keys(errors.value).length) return
  await tried(() => store.keepCustomer({ id, ...said }, version))
}
async function forget() {
  const id = form.value?.id
  if (id) await tried(() => store.forget(id))
}
async function tried(work: () => Promise<unknown>) {
  if (!await attempt(work)) return
  form.value = undefined
  void again()
}
/** About how high a row is, px. */
const HIGH = 49
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the customers ...</p>
  <div v-else class="customers">
    <header>
      <h1>Customers</h1>
      <PenSearch v-model="looked" label="Look somebody up" placeholder="A part of the name" />
      <NuxtLink class="key" to="/pens/orders">Orders</NuxtLink>
      <button type="button" class="key" @click="edit()">Somebody new</button>
    </header>
    <form v-if="form" class="sheet filled" aria-label="A customer" @submit.prevent="keep">
      <UFormField label="Name" :error="errors.name ?? false" required><UInput v-model="form.name" size="lg" maxlength="80" /></UFormField>
      <UFormField label="How to reach them" :error="errors.reach ?? false">
        <UInput v-model="form.reach" size="lg" maxlength="300" />
      </UFormField>
      <UFormField label="Remark" :error="errors.remark ?? false"><UInput v-model="form.remark" size="lg" maxlength="300" /></UFormField>
      <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
      <p v-if="asking" role="alert">
        Name, address and remark are deleted for good. Orders and pens stay, without a name. What you typed elsewhere stays as it is.
      </p>
      <p class="acts">
        <template v-if="asking">
          <button type="button" class="key" :disabled="busy" @click="forget">Forget them</button>
          <button type="button" class="key" @click="asking = false">Keep them</button>
        </template>
        <template v-else>
          <button type="submit" class="key next" :disabled="busy">Keep</button>
          <button type="button" class="key" @click="form = undefined">Leave it</button>
          <button v-if="form.version !== undefined" type="button" class="key" @click="asking = true">Forget them</button>
        </template>
      </p>
    </form>
    <ListRows v-if="list.customers.value?.length" :rows="list.customers.value" :id-of="one => one.id" :high="HIGH" @end="list.more">
      <template #default="{ row, place, measured }">
        <li :ref="measured" v-bind="place" class="customer">
          <button type="button" class="one" @click="edit(row)"><b>{{ row.name }}</b><span class="quiet">{{ row.reach }}</span></button>
        </li>
      </template>
    </ListRows>
    <p v-else class="quiet" role="status">
      {{ text ? `Nobody is called “${text}”.` : 'Nobody yet. An order can name somebody new, too.' }}
    </p>
  </div>
</template>

<style scoped>
.customers { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header > a { margin-left: auto; }
@media (max-width: 640px) { header > a { margin-left: 0; } }
form { display: grid; gap: 0.6rem; padding: 1rem 1.1rem; max-width: 44rem; }
.acts { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.customer + .customer { border-top: 1px solid var(--line); }
.one { display: flex; flex-wrap: wrap; gap: 0.2rem 1rem; width: 100%; min-height: 48px; align-items: center; padding: 0.5rem 1rem; }
.one { cursor: pointer; }
.one:hover { background: color-mix(in srgb, var(--line) 35%, transparent); }
</style>
