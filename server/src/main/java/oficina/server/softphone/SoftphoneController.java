package oficina.server.softphone;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import oficina.core.call.DeviceId;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.sound.EndId;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Where a window's sound is connected. */
@RestController
@RequestMapping("/api/softphone")
class SoftphoneController {
  private static final int LONGEST_SDP = 20_000;

  private final Softphones softphones;
  private final ExchangeLoop loop;

  SoftphoneController(Softphones softphones, ExchangeLoop loop) {
    this.softphones = softphones;
    this.loop = loop;
  }

  /**
   * @param device the window whose sound it is; it must be connected
   * @param sdp a session description as WebRTC offers it, with one medium, audio
   */
  record Offered(
      @NotNull @Pattern(regexp = "[A-Za-z0-9-]{1,40}") String device,
      @NotNull @Size(max = LONGEST_SDP) String sdp) {}

  /**
   * @param sdp the answer
   * @param wideband whether voices are carried by Opus; otherwise as on an ordinary telephone line
   */
  record Answered(String sdp, boolean wideband) {}

  /** Connect a window's sound. One that was connected before ends. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Answered connect(@AuthenticationPrincipal Employee me, @Valid @RequestBody Offered offered) {
    DeviceId device = new DeviceId(offered.device());
    Offer offer = Offer.read(offered.sdp());
    boolean there =
        Commands.await(
            loop.ask(
                () ->
                    loop.state().devices(me.id()).stream()
                        .anyMatch(each -> each.id().equals(device))));
    if (!there) {
      throw new Problem(HttpStatus.CONFLICT, "NO_SUCH_WINDOW");
    }
    String sdp = softphones.connect(new EndId.Device(me.id(), device), offer);
    return new Answered(sdp, Opus.THERE && offer.opus() != null);
  }
}
