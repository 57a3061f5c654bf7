import {
  Button,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Select,
  SelectValue,
} from "react-aria-components";

/** One of a few things, chosen from a list. */
export function Choice({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: string;
  options: readonly { id: string; name: string }[];
  onChoose: (id: string) => void;
}) {
  return (
    <Select
      className="choice"
      selectedKey={value}
      onSelectionChange={(key) => {
        onChoose(String(key));
      }}
    >
      <Label>{label}</Label>
      <Button className="button">
        <SelectValue /> <span aria-hidden="true">▾</span>
      </Button>
      <Popover className="popover">
        <ListBox className="menu" items={options}>
          {({ id, name }) => <ListBoxItem id={id}>{name}</ListBoxItem>}
        </ListBox>
      </Popover>
    </Select>
  );
}
