import { useNetwork } from '@mantine/hooks';

/** Says, while the network is away, that nothing here needs it. */
export function OfflineSign() {
  const { online } = useNetwork();
  return (
    <span role="status" className={online ? undefined : 'offline-sign'}>
      {online ? null : 'Offline: all of it works on, kept in this browser'}
    </span>
  );
}
