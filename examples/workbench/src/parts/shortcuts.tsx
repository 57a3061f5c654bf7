import { Button, Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";

const keys: readonly (readonly [keys: string, does: string])[] = [
  ["Alt 1 … Alt 5", "Desk, Phrasebook, Suites, Day, Sound"],
  ["/", "Say a phrase"],
  ["Ctrl S", "Save to the folder, or as a zip"],
  ["?", "This list"],
  ["↑ ↓ in the phrase", "What was said before"],
  ["Ctrl Space", "Complete, in the phrasebook"],
  ["F8, Shift F8", "Next finding, the one before"],
  ["Ctrl .", "Mend the finding here"],
  ["F12", "Where it is defined"],
  ["Shift F12", "Where it is used"],
  ["F2", "Another id for it"],
  ["Ctrl K", "Tell what stands here"],
  ["Ctrl F", "Find in the file"],
  ["← ↑ → ↓", "From pair to pair, on the map of names"],
  ["Esc, then Tab", "Leave the text"],
];

/** Everything that a key does. */
export default function Shortcuts({ onClose }: { onClose: () => void }) {
  return (
    <ModalOverlay className="overlay" isOpen onOpenChange={onClose} isDismissable>
      <Modal className="modal">
        <Dialog className="dialog">
          <Heading slot="title">Shortcuts</Heading>
          <dl className="keys">
            {keys.map(([key, does]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Button slot="close" className="button">
            Close
          </Button>
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}
