import type { News } from '@pyrgotect/core/pairing';
import type { GuestMeeting, Invitation } from './meeting.ts';
import { LineCut, Refused, ServerLine } from './server-line.ts';

const asError = (error: unknown): Error =>
  error instanceof Error ? error : new Error(String(error));

/** Why the server let nobody in, in words. */
const wordsFor = (refused: Refused): Error =>
  new Error(
    refused.why === 'no such room'
      ? 'No device shows this code. Look at it once more, or take the next one.'
      : 'Too many codes were tried. Wait a minute.',
    { cause: refused },
  );

/** What the desk that shows a code gives to who has it. @throws Error in words where it gives nothing */
export async function askInvitation(address: string, meeting: GuestMeeting): Promise<Invitation> {
  const lines: ServerLine[] = [];
  try {
    return await new Promise<Invitation>((resolve, reject) => {
      const fail = (error: unknown): void => reject(asError(error));
      const hear = (news: News): void => {
        if (news.kind === 'left')
          fail(new Error('The other device has put its code away. Ask for a new one.'));
        if (news.kind !== 'relay') return;
        try {
          const heard = meeting.hear(news.body);
          if (heard && 'say' in heard)
            lines[0]!.ask({ kind: 'relay', body: heard.say }, 'done').catch(fail);
          else if (heard) resolve(heard.invitation);
        } catch (error) {
          fail(error);
        }
      };
      ServerLine.open(address, hear, () => fail(new LineCut('The line was cut.')))
        .then(async (line) => {
          lines.push(line);
          await line.ask({ kind: 'meet', room: meeting.room }, 'done');
          await line.ask({ kind: 'relay', body: meeting.first }, 'done');
        })
        .catch(fail);
    });
  } catch (error) {
    throw error instanceof Refused ? wordsFor(error) : error;
  } finally {
    for (const line of lines) line.close();
  }
}
