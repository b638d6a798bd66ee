import { Button, FileButton } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useLiveQuery } from 'dexie-react-hooks';
import { useBuild } from '../store/store.ts';
import { db, type BuildPhoto } from '../storage/db.ts';
import { dropPhoto, keepPhoto } from '../storage/photos.ts';
import { soundPhotos } from '../storage/sound.ts';
import { attempt } from '../ui/attempt.ts';
import { dayText } from '../ui/manner.ts';

/** Takes a photo off, and offers it back. */
function takeOff(photo: BuildPhoto): void {
  void attempt('The change', dropPhoto(photo));
  const id = `photo-${photo.id}`;
  notifications.show({
    id,
    color: 'marmalade',
    message: (
      <span className="notice">
        The photo was taken off.
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => {
            void attempt('The photo', db.photos.put(photo));
            notifications.hide(id);
          }}
        >
          Bring it back
        </Button>
      </span>
    ),
  });
}

/** Photos of one item: kept in this browser, scaled down, and sent out with the build's file. */
export function Photos({ id, label, camera = false }: { id: string; label: string; camera?: boolean }) {
  const build = useBuild();
  const photos = useLiveQuery(() => soundPhotos({ buildId: build.id, item: id }), [build.id, id]);
  return (
    <div className="photos">
      {photos?.map((photo) => (
        <figure key={photo.id}>
          <img src={photo.dataUrl} alt={`${label}, taken ${dayText(photo.on)}`} />
          <button type="button" className="link-button" onClick={() => takeOff(photo)}>
            take off
          </button>
        </figure>
      ))}
      {camera ? (
        <PhotoButton build={build.id} id={id} label={label} words="Take a photo" capture="environment" />
      ) : null}
      <PhotoButton build={build.id} id={id} label={label} words="Add a photo" />
    </div>
  );
}

/** Asks for a picture, from a file or straight from the camera, and keeps it with its item. */
function PhotoButton({
  build,
  id,
  label,
  words,
  capture,
}: {
  build: string;
  id: string;
  label: string;
  words: string;
  capture?: 'environment';
}) {
  return (
    <FileButton
      accept="image/png,image/jpeg,image/webp"
      {...(capture ? { capture } : {})}
      inputProps={{ 'aria-label': `${words} of ${label.toLowerCase()}` }}
      onChange={(file) => {
        if (!file) return;
        void attempt('The photo', keepPhoto(build, id, file));
      }}
    >
      {(props) => (
        <Button size="compact-sm" variant="subtle" {...props}>
          {words}
        </Button>
      )}
    </FileButton>
  );
}
