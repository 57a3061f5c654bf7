import { useState } from "react";
import { isSuite } from "../files/sorts.ts";
import { useBench } from "../work.tsx";
import { Choice } from "./choice.tsx";

/** The suite that cases are added to, of those that there are; none where there are none. */
export function useSuite(): { path: string; choose: (path: string) => void } {
  const { work } = useBench();
  const [chosen, choose] = useState("");
  const suites = work.files.filter(isSuite);
  const path = suites.some((file) => file.path === chosen) ? chosen : (suites[0]?.path ?? "");
  return { path, choose };
}

export function SuiteChoice({
  label,
  suite: { path, choose },
}: {
  label: string;
  suite: ReturnType<typeof useSuite>;
}) {
  const { work } = useBench();
  const options = work.files.filter(isSuite).map((file) => ({ id: file.path, name: file.path }));
  return <Choice label={label} value={path} options={options} onChoose={choose} />;
}
