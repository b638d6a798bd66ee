import { Menu } from '@mantine/core';
import { useNavigate } from 'react-router';

/** What can be done with a build of the bench: a menu beside its row, open from the start. */
export function RowMenu({
  id,
  onClose,
  onCopy,
  onSave,
  onDelete,
}: {
  id: string;
  /** Told what comes next: its name is to be written, or nothing. */
  onClose: (next?: 'name') => void;
  onCopy: (variant: boolean) => void;
  onSave: () => void;
  onDelete: () => void;
}) {
  const navigate = useNavigate();
  return (
    <Menu defaultOpened position="bottom-end" withinPortal returnFocus={false} onClose={() => onClose()}>
      <Menu.Target>
        <span className="build-menu-at" />
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item onClick={() => void navigate(`/build/${id}/brief`)}>Open at the brief</Menu.Item>
        <Menu.Item onClick={() => onClose('name')}>Rename</Menu.Item>
        <Menu.Item onClick={() => onCopy(false)}>Duplicate</Menu.Item>
        <Menu.Item onClick={() => onCopy(true)}>New variant</Menu.Item>
        <Menu.Item onClick={onSave}>Save as a build file</Menu.Item>
        <Menu.Item onClick={onDelete}>Delete</Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
