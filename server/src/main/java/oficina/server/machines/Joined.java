package oficina.server.machines;

import oficina.core.events.ExchangeEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.server.sound.EndId;
import org.jspecify.annotations.Nullable;

/**
 * Where a voice has come into a call.
 *
 * @param with what brought it there; null when it was there before the server was started
 */
public record Joined(
    EndId.Machine id, Call call, Connection connection, @Nullable ExchangeEvent with) {}
