package oficina.e2e;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import com.microsoft.playwright.Page;
class LookTest {
  @RegisterExtension final Browsers browsers = new Browsers();
  void shot(Desk d, String n) { d.page.waitForTimeout(500); d.page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("/tmp/look/" + n + ".png"))); }
  @Test void look() {
    Desk ines = browsers.of("ines"); Desk tomasz = browsers.of("tomasz");
    tomasz.play("Dov Hartigan"); tomasz.callFrom("Dov Hartigan", "0191 498 0201"); ines.page.waitForTimeout(1500); shot(ines, "k-ringing");
    ines.button("Answer").click(); ines.page.waitForTimeout(800); 
    ines.page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("Two lorries on Friday, wants the early boat."); shot(ines, "k-talking");
    ines.button("End").click(); ines.page.waitForTimeout(800); shot(ines, "k-over");
    ines.button("Follow up").click(); shot(ines, "k-follow");
    ines.page.getByLabel("What is to be done").fill("Send the timetable"); ines.button("Keep it").click(); ines.page.waitForTimeout(500);
    browsers.pass(java.time.Duration.ofDays(2)); ines.page.waitForTimeout(1500); shot(ines, "k-due");
    ines.open("History"); ines.page.getByText("Follow-ups").first().click(); shot(ines, "k-list");
    ines.page.setViewportSize(390, 844); ines.open("Desk"); ines.dial("01514960177"); ines.page.waitForTimeout(1000); shot(ines, "k-390");
  }
}
