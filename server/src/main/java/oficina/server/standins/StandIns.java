package oficina.server.standins;

import java.util.concurrent.atomic.AtomicReference;
import oficina.server.OficinaProperties;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.journal.JournalStore;
import oficina.server.office.OfficeData;
import oficina.server.push.Pushes;
import oficina.server.time.MovableClock;
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
  NetworkStandIn network(ExchangeLoop loop, Pushes pushes) {
    AtomicReference<NetworkStandIn> network = new AtomicReference<>();
    loop.listen(
        new TrunkLines(
            loop,
            office -> {
              network.set(new NetworkStandIn(loop, office, pushes, Subscriber.all()));
              return network.get();
            }));
    return network.get();
  }

  @Bean
  ColleagueStandIn colleagues(ExchangeLoop loop, OfficeData office) {
    ColleagueStandIn colleagues = new ColleagueStandIn(loop, office);
    loop.listen(colleagues);
    return colleagues;
  }

  /** Written while the beans are made: the exchange starts after them, where the journal ends. */
  @Bean
  @ConditionalOnProperty({"oficina.demo", "oficina.demo-past"})
  InitializingBean demoPast(OfficeData office, JournalStore journal, MovableClock clock) {
    return () -> {
      if (journal.lastSeq() == 0) {
        new DemoPast(office, journal).write(clock.instant());
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
