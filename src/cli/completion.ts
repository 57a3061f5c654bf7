import type { Command } from "commander";
import type { shells } from "./values.ts";

/** What one command may be followed by. */
interface Words {
  name: string;
  description: string;
  options: readonly { flag: string; description: string; choices: readonly string[] }[];
  /** Values that an argument is one of. */
  values: readonly string[];
}

/** A script that has a shell complete the commands and options of a program. */
export function completionFor(shell: (typeof shells)[number], program: Command): string {
  const name = program.name();
  const commands = program.commands.map(wordsOf);
  switch (shell) {
    case "bash":
      return bash(name, commands);
    case "zsh":
      return `#compdef ${name}\nautoload -U +X bashcompinit && bashcompinit\n${bash(name, commands)}`;
    case "fish":
      return fish(name, commands);
  }
}

function wordsOf(command: Command): Words {
  const options = command.options.map(({ long, description, argChoices }) => {
    return { flag: long ?? "", description, choices: argChoices ?? [] };
  });
  return {
    name: command.name(),
    description: command.description(),
    options: [...options, { flag: "--help", description: "print help", choices: [] }],
    values: command.registeredArguments.flatMap(({ argChoices }) => argChoices ?? []),
  };
}

function bash(name: string, commands: readonly Words[]): string {
  const names = commands.map((each) => each.name).join(" ");
  const cases = commands.flatMap(({ name: command, options, values }) => [
    ...options
      .filter(({ choices }) => choices.length > 0)
      .map(({ flag, choices }) => `    ${command}\\ ${flag}) words="${choices.join(" ")}" ;;`),
    `    ${command}\\ *) words="${[...options.map(({ flag }) => flag), ...values].join(" ")}" ;;`,
  ]);
  return `_${identifier(name)}() {
  local word="\${COMP_WORDS[COMP_CWORD]}" before="\${COMP_WORDS[COMP_CWORD-1]}" words
  if [ "$COMP_CWORD" -eq 1 ]; then
    COMPREPLY=($(compgen -W "${names} --help --version" -- "$word"))
    return
  fi
  case "\${COMP_WORDS[1]} $before" in
${cases.join("\n")}
  esac
  COMPREPLY=($(compgen -W "$words" -- "$word"))
}
complete -o default -F _${identifier(name)} ${name}`;
}

function fish(name: string, commands: readonly Words[]): string {
  const lines = commands.flatMap(({ name: command, description, options, values }) => {
    const within = `-n "__fish_seen_subcommand_from ${command}"`;
    return [
      `complete -c ${name} -n __fish_use_subcommand -a ${command} -d ${quoted(description)}`,
      ...options.map(({ flag, description: told, choices }) => {
        const of = choices.length > 0 ? ` -x -a "${choices.join(" ")}"` : "";
        return `complete -c ${name} ${within} -l ${flag.slice(2)}${of} -d ${quoted(told)}`;
      }),
      ...(values.length > 0 ? [`complete -c ${name} ${within} -f -a "${values.join(" ")}"`] : []),
    ];
  });
  return lines.join("\n");
}

function identifier(name: string): string {
  return name.replace(/\W/gu, "_");
}

function quoted(text: string): string {
  return `'${text.replace(/[\\']/gu, String.raw`\$&`)}'`;
}
