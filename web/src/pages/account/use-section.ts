import { ref, type Ref } from 'vue';
import { useConfirm } from '../../stores/confirm';

/** One section of the account page: runs a request, asks for the password where it is wanted, and says what came of it. */
export function useSection(): {
  message: Ref<string>;
  said: Ref<string>;
  isBusy: Ref<boolean>;
  run: (work: () => Promise<string | void>) => Promise<void>;
} {
  const confirm = useConfirm();
  const message = ref('');
  const said = ref('');
  const isBusy = ref(false);
  async function run(work: () => Promise<string | void>): Promise<void> {
    isBusy.value = true;
    [message.value, said.value] = ['', ''];
    try {
      said.value = (await confirm.confirmed(work)) ?? '';
    } catch (error) {
      message.value = error instanceof Error ? error.message : String(error);
    } finally {
      isBusy.value = false;
    }
  }
  return { message, said, isBusy, run };
}
