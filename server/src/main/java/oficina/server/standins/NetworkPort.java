package oficina.server.standins;

import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.exchange.ExchangeEvent.ConnectionCleared;
import oficina.core.exchange.ExchangeEvent.Delivered;
import oficina.core.exchange.ExchangeEvent.DigitsSent;
import oficina.core.exchange.ExchangeEvent.Established;
import oficina.core.exchange.ExchangeEvent.Failed;
import oficina.core.exchange.ExchangeEvent.Merged;
import oficina.core.exchange.ExchangeEvent.NetworkReached;
import oficina.server.exchange.ExchangeListener;

/** Tells the network what concerns it of what happens at the exchange. */
record NetworkPort(OutsideNetwork network) implements ExchangeListener {

  @Override
  public void happened(ExchangeEvent event, Call after) {
    if (event instanceof NetworkReached e) {
      network.setUp(e.call(), e.leg(), e.party(), after.callerId().number());
    } else if (event instanceof ConnectionCleared e) {
      network.released(e.call(), e.leg());
    } else if (event instanceof Merged e) {
      network.moved(e.other(), e.otherLeg(), e.call(), e.leg());
    } else if (event instanceof DigitsSent e) {
      network.digits(e.call(), e.leg(), e.digits());
    } else if (after != null && after.caller() instanceof Party.Outside) {
      if (event instanceof Delivered e) {
        network.rings(e.call());
      } else if (event instanceof Established e) {
        network.answered(e.call());
      } else if (event instanceof Failed e) {
        network.refused(e.call(), e.cause());
      }
    }
  }

  @Override
  public void takenUp(Call call) {
    for (Connection connection : call.connections()) {
      if (connection.party().usesOutsideLine()) {
        network.takenUp(call, connection);
      }
    }
  }
}
