import { addCommands } from './add-commands';
import { arrangeCommands } from './arrange-commands';
import type { Command } from '../open-job/command';
import { presentOf, type CommandContext } from './context';
import { editCommands } from './edit-commands';
import { goCommands } from './go-commands';
import { lookCommands } from './look-commands';
import { tableCommands } from './table-commands';

/** Every command of the job page, in the order of the palette; the first that has a key and is possible takes it. */
export function commandsFor(context: CommandContext): readonly Command[] {
  const present = presentOf(context.store);
  return [
    ...goCommands(context, present),
    ...addCommands(context, present),
    ...tableCommands(present),
    ...editCommands(context, present),
    ...arrangeCommands(context, present),
    ...lookCommands(context, present),
  ];
}
