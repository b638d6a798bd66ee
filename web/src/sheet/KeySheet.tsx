import { Modal } from '@mantine/core';
import { useApp, useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';

const keys: [string, string][] = [
  ['1 … 9, 0', 'go to a stage'],
  ['[  ]', 'stage before, stage after'],
  ['Ctrl K or ⌘ K', 'find a stage, part, rule or field'],
  ['R', 'the ride sheet'],
  ['F', 'the fault finder'],
  ['L', 'the live ride'],
  ['N', 'a new line for the log'],
  ['C', 'compare with another donor'],
  ['U', 'metric or imperial'],
  ['E', 'explain the figure in focus'],
  ['Ctrl Z or ⌘ Z', 'undo, on any stage'],
  ['Ctrl Shift Z, Ctrl Y', 'redo'],
  ['?', 'this list'],
  ['Esc', 'close what is open'],
];

/** The list of keys. None of them acts while you type in a field, but find. */
export function KeySheet() {
  const shown = useApp((state) => state.ui.keysShown);
  const send = useSend();
  return (
    <Modal
      opened={shown}
      onClose={() => send(uiActions.keysShown(false))}
      title="Keys"
      centered
      closeButtonProps={{ 'aria-label': 'Close' }}
      classNames={{ title: 'explain-title' }}
    >
      <table className="sum keys">
        <tbody>
          {keys.map(([key, what]) => (
            <tr key={key}>
              <th scope="row">
                <kbd>{key}</kbd>
              </th>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">Letters and numbers typed in a field stay in the field.</p>
    </Modal>
  );
}
