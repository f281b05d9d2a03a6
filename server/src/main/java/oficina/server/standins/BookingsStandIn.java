package oficina.server.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import oficina.server.OficinaProperties;
import oficina.server.json.CoreJson;
import oficina.server.threads.Threads;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Stands in for the booking system of the demo office: an address that is asked about callers. The
 * same caller with the same booking is always told the same.
 */
@Component
@ConditionalOnExpression("${oficina.stand-ins} and ${oficina.bookings-port} > 0")
class BookingsStandIn {
  private static final Logger LOG = LoggerFactory.getLogger(BookingsStandIn.class);
  private static final int MOST_WAITING = 100;
  private static final List<String> SAILINGS =
      List.of("Skerry 08:15", "Skerry 17:40", "Hask 09:30", "Hask 14:00", "Brannoc 06:50");
  private static final List<String> VEHICLES =
      List.of("Van 6 m", "Lorry 12 m", "Lorry and trailer 18 m", "Car", "On foot");

  private final ExecutorService work =
      Threads.one(MOST_WAITING, Threads.beside("bookings-stand-in"));
  private HttpServer server;

  BookingsStandIn(OficinaProperties properties) {
    try {
      server =
          HttpServer.create(
              new InetSocketAddress(InetAddress.getLoopbackAddress(), properties.bookingsPort()),
              MOST_WAITING);
      server.setExecutor(work);
      server.createContext("/bookings", BookingsStandIn::answer);
      server.start();
    } catch (IOException e) {
      LOG.warn("The stand-in for a booking system cannot be asked: {}", e.getMessage());
    }
  }

  @PreDestroy
  void stop() {
    if (server != null) {
      server.stop(0);
    }
    work.shutdown();
  }

  private static void answer(HttpExchange exchange) throws IOException {
    Map<String, String> asked =
        UriComponentsBuilder.fromUri(exchange.getRequestURI())
            .build()
            .getQueryParams()
            .toSingleValueMap();
    String booking = asked.getOrDefault("booking", "");
    String known = booking.isEmpty() ? asked.getOrDefault("number", "") : booking;
    byte[] body =
        CoreJson.JSON.writeValueAsString(booked(booking, known)).getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().add("Content-Type", "application/json");
    exchange.sendResponseHeaders(200, body.length);
    try (exchange) {
      exchange.getResponseBody().write(body);
    }
  }

  private static Map<String, String> booked(String booking, String known) {
    Map<String, String> booked = new LinkedHashMap<>();
    if (!known.isEmpty()) {
      Random random = new Random(known.hashCode());
      random.nextInt(); // seeds that are near give first numbers that are near
      booked.put("Sailing", SAILINGS.get(random.nextInt(SAILINGS.size())));
      booked.put("Vehicle", VEHICLES.get(random.nextInt(VEHICLES.size())));
      booked.put("Booked as", booking.isEmpty() ? "regular" : booking);
    }
    return booked;
  }
}
