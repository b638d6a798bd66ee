import { Notifications } from '@mantine/notifications';
import '@mantine/notifications/styles.css';

/** What is told in passing, above everything: what is refused at the bench is said at the bench, over the stand view. */
export default function Notices() {
  return <Notifications position="bottom-center" autoClose={8000} zIndex={500} />;
}
