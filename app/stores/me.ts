import { defineStore } from 'pinia'
import type { Me } from '#contract'
import type { Role } from '#schemas'

/** What a page offers, by what whoever is here may do; the server decides it anew at each request. */
export type Doing = 'work' | 'shelf' | 'money' | 'all' | 'installation'
const WHO: Readonly<Record<Exclude<Doing, 'installation'>, readonly Role[]>> = {
  work: ['owner', 'maker', 'pupil'], shelf: ['owner', 'maker'], money: ['owner', 'maker'], all: ['owner'],
}

/** Who is here, and what they may do in this workshop. */
export const useMe = defineStore('me', () => {
  const me = shallowRef<Me | null>()
  /** Seconds until the next try at the door is heard. */
  const wait = ref(0)
  const person = computed(() => me.value?.person ?? null)

  /** Asks at the door. Answers whether somebody is in; where the server is away whoever was in last is taken to be. */
  async function meet(): Promise<boolean> {
    try {
      const door = await api('GET /api/door')
      wait.value = door.wait
      me.value = door.me
      hereIs(door.me?.person?.id ?? '')
      return door.me !== null
    } catch {
      hereIs()
      return true
    }
  }
  /** What they may do in this workshop; before that is known all of it, since the server says no where it must. */
  const role = computed((): Role => {
    if (!me.value || me.value.how === 'machine') return 'owner'
    return me.value.roles[hereNow()] ?? 'looker'
  })
  const may = (doing: Doing): boolean =>
    (doing === 'installation' ? me.value?.keeper ?? true : WHO[doing].includes(role.value))
  /** Whether they may work on a pen: owners on all, others on their own. */
  const mayWorkOn = (maker: string | null | undefined): boolean =>
    role.value === 'owner' || (may('work') && maker === person.value?.id)
  /** Makers and pupils have their own pens on the bench, others all of them. */
  const hasOwnBench = computed(() => role.value === 'maker' || role.value === 'pupil')
  const onBench = (maker: string | null | undefined): boolean => !hasOwnBench.value || maker === person.value?.id
  return { hasOwnBench, onBench, me, wait, person, role, meet, may, mayWorkOn }
})
