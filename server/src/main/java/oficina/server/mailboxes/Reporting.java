package oficina.server.mailboxes;

import oficina.core.commands.MachineCommand;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.sound.EndId;

/** Tells the exchange how far a mailbox is. From the engine's threads, which wait for nothing. */
record Reporting(ExchangeLoop loop, EndId.Machine id) implements MailboxEnd.Reports {
  @Override
  public void greetingOver() {
    loop.submit(new MachineCommand.GreetingOver(id.call(), id.leg()));
  }

  @Override
  public void sounds() {
    loop.submit(new MachineCommand.MessageSounds(id.call(), id.leg()));
  }

  @Override
  public void silent() {
    loop.submit(new MachineCommand.CallerSilent(id.call(), id.leg()));
  }
}
