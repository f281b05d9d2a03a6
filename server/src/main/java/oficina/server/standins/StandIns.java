package oficina.server.standins;

import oficina.server.OficinaProperties;
import oficina.server.contacts.Contacts;
import oficina.server.demopast.QueuePast;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.figures.FactStore;
import oficina.server.figures.PresenceStore;
import oficina.server.followup.PromisedBefore;
import oficina.server.journal.JournalStore;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.OfficeData;
import oficina.server.recordings.RecordedBefore;
import oficina.server.sound.SoundEngine;
import oficina.server.speech.Speaker;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topics;
import oficina.server.trunk.TrunkLines;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Connects the stand-ins to the exchange. */
@Configuration
@ConditionalOnProperty("oficina.stand-ins")
class StandIns {

  @Bean
  TrunkLines trunkLines(ExchangeLoop loop, Topics topics, SubscriberVoices voices) {
    TrunkLines lines =
        new TrunkLines(
            loop, office -> new NetworkStandIn(loop, office, topics, voices, Subscriber.all()));
    loop.listen(lines);
    return lines;
  }

  @Bean
  NetworkStandIn network(TrunkLines lines) {
    return (NetworkStandIn) lines.trunk();
  }

  @Bean
  ColleagueStandIn colleagues(
      ExchangeLoop loop, OfficeData office, SoundEngine engine, Scripts scripts) {
    ColleagueStandIn colleagues = new ColleagueStandIn(loop, office, engine, scripts);
    loop.listen(colleagues);
    return colleagues;
  }

  /** Written while the beans are made: the exchange starts after them, where the journal ends. */
  @Bean
  @ConditionalOnProperty({"oficina.demo", "oficina.demo-past"})
  InitializingBean demoPast(
      OfficeData office,
      JournalStore journal,
      FactStore facts,
      PresenceStore presence,
      MovableClock clock,
      Speaker speaker,
      LeftBefore messages,
      RecordedBefore recordings,
      Contacts contacts,
      PromisedBefore promised) {
    return () -> {
      if (journal.lastSeq() == 0) {
        new DemoContacts(office, contacts).add();
        DemoPast past = new DemoPast(office, journal);
        past.write(clock.instant());
        new QueuePast(office.now(), facts, presence).write(clock.instant());
        new DemoNotes(promised).add(past.spokenOutside(), clock.instant());
        new DemoMessages(office, speaker, messages).leave(clock.instant());
        new DemoRecordings(office, speaker, recordings).file(clock.instant());
      }
    };
  }

  @Bean
  Callers callers(ExchangeLoop loop, NetworkStandIn network, OficinaProperties properties) {
    Callers callers = new Callers(loop, network);
    loop.ask(
        () -> {
          callers.on(properties.demo() && properties.callers());
          return null;
        });
    return callers;
  }
}
