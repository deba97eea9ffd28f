import { api, must, type Schemas } from '@/api/client';
import { askMe } from '@/api/useMe';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';

/**
 * Address and password, and the code of a second factor where there is one. `done` is told who is signed in.
 * @param address what stands in the form at first
 */
export function useSignIn(done: (now: Schemas['Person']) => unknown, address = '') {
  const email = ref(address);
  const password = ref('');
  const shared = ref(false);
  const code = ref('');
  /** The password was right; nobody is signed in until the code is. */
  const asked = ref(false);
  const enter = useAction(
    async () => {
      // The page may have stood open for longer than its form token lasts; asking who one is brings a fresh one. Where that
      // is being asked already it is waited for: an answer that came after the sign-in would bring a guest's cookie with it.
      await askMe(true);
      return must(
        api.POST('/api/people/session', {
          body: { email: email.value, password: password.value, shared: shared.value },
        }),
      );
    },
    async (answer) => {
      if (isPerson(answer)) await done(answer);
      else asked.value = true;
    },
  );
  const giveCode = useAction(
    () => must(api.POST('/api/people/session/second-factor', { body: { code: code.value } })),
    (now) => done(now),
  );
  function back() {
    asked.value = false;
    code.value = '';
    password.value = '';
  }
  return { email, password, shared, code, asked, enter, giveCode, back };
}

const isPerson = (answer: Schemas['Person'] | Schemas['FactorAsked']): answer is Schemas['Person'] => 'email' in answer;
