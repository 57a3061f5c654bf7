import { useEffect, useRef } from "react";
import { Button, Menu, MenuItem, MenuTrigger, Popover, Separator } from "react-aria-components";
import { demo } from "../files/demo.ts";
import { linkTo } from "../files/link.ts";
import { canOpenFolders, openFolder, readFiles } from "../files/opening.ts";
import { saveAsZip, saveToFolder } from "../files/saving.ts";
import { useLatest } from "../editor/use-latest.ts";
import { useBench } from "../work.tsx";

/** Opening, saving and handing on a home, and how the page looks. */
export function HomeMenu({ title, onShortcuts }: { title: string; onShortcuts: () => void }) {
  const { work, act } = useBench();
  const chooser = useRef<HTMLInputElement>(null);
  const save = async (): Promise<void> => {
    if (work.folder) {
      await saveToFolder(work.folder, work.files);
      act({ deed: "saved", news: "Saved to its folder." });
    } else {
      await saveAsZip(title, work.files);
      act({ deed: "saved", news: "Saved as a zip." });
    }
  };
  const latest = useLatest({ save });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      if (event.key !== "s" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      void latest.current.save();
    };
    window.addEventListener("keydown", listen);
    return () => {
      window.removeEventListener("keydown", listen);
    };
  }, [latest]);
  const deeds: Readonly<Record<string, () => Promise<void> | void>> = {
    demo() {
      act({ deed: "open", files: demo, news: "The demo is open." });
    },
    async folder() {
      const opened = await openFolder();
      if (opened) act({ deed: "open", ...opened, news: `Opened ${opened.files.length} files.` });
    },
    files() {
      chooser.current?.click();
    },
    save,
    async link() {
      const link = await linkTo(work.files);
      if (link === undefined) {
        act({ deed: "tell", news: "This home is too large for a link: save it as a zip." });
        return;
      }
      try {
        await navigator.clipboard.writeText(link);
        act({ deed: "tell", news: "A link that holds this home is copied." });
      } catch {
        // Where nothing may be copied, the address of the page is there to be.
        history.replaceState(null, "", link);
        act({ deed: "tell", news: "The address of this page holds this home now." });
      }
    },
    look() {
      const root = document.documentElement;
      const isDark =
        root.dataset["look"] === "dark" ||
        (root.dataset["look"] === undefined && matchMedia("(prefers-color-scheme: dark)").matches);
      root.dataset["look"] = isDark ? "light" : "dark";
    },
    shortcuts() {
      onShortcuts();
    },
  };
  return (
    <>
      <input
        ref={chooser}
        type="file"
        multiple
        hidden
        aria-label="Files of a home"
        accept=".yaml,.yml,.csv,.zip"
        onChange={(event) => {
          const { files } = event.target;
          if (!files || files.length === 0) return;
          void readFiles(files).then((read) => {
            act({ deed: "open", files: read, news: `Opened ${read.length} files.` });
          });
        }}
      />
      <MenuTrigger>
        <Button className="button">
          Home <span aria-hidden="true">▾</span>
        </Button>
        <Popover className="popover" placement="bottom end">
          <Menu
            className="menu"
            aria-label="Home"
            onAction={(key) => {
              void deeds[String(key)]?.();
            }}
          >
            <MenuItem id="demo">Open the demo</MenuItem>
            {canOpenFolders ? <MenuItem id="folder">Open a folder …</MenuItem> : null}
            <MenuItem id="files">Open files or a zip …</MenuItem>
            <Separator />
            <MenuItem id="save">{work.folder ? "Save to its folder" : "Save as a zip"}</MenuItem>
            <MenuItem id="link">Copy a link that holds it</MenuItem>
            <Separator />
            <MenuItem id="look">Light or dark</MenuItem>
            <MenuItem id="shortcuts">Shortcuts</MenuItem>
          </Menu>
        </Popover>
      </MenuTrigger>
    </>
  );
}
