import { useSession } from '../stores/session';
import { useView } from '../stores/view';
import { today } from '../today';

/** Who does something now, with the day: the person signed in, or whom they place for. */
export function usePerson() {
  const session = useSession();
  const view = useView();
  const signedIn = () => session.signedIn?.user.name ?? 'the crew';
  return {
    /** Who is at the device. */
    me: () => ({ by: signedIn(), date: today() }),
    /** Whose wish it is that is placed or answered. */
    asker: () => ({ by: view.placingFor.trim() || signedIn(), date: today() }),
  };
}
