/** The File System Access API, where a browser has it; the standard types leave it out. */
interface Window {
  showDirectoryPicker?: (options: { mode: "readwrite" }) => Promise<FileSystemDirectoryHandle>;
}
