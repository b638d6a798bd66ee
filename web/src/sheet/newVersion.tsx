import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { takeNewVersion } from '../offline/offline.ts';
import { keeper } from '../storage/autosave.ts';

/** Says that a new version is ready. It is taken when the person says so, and not before all is kept. */
export function tellNewVersion(): void {
  notifications.show({
    id: 'new-version',
    color: 'teal',
    autoClose: false,
    message: (
      <span className="notice">
        A new version is ready; it waits until you say so.
        <Button
          size="compact-sm"
          onClick={() => {
            void keeper.flush().then(() => {
              if (keeper.unsaved.length === 0) takeNewVersion();
              else
                notifications.show({
                  color: 'red',
                  message: 'Not yet: the browser has not kept your last edits. They would go with this page.',
                });
            });
          }}
        >
          Start it now
        </Button>
      </span>
    ),
  });
}
