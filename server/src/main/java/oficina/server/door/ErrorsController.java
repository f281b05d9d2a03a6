package oficina.server.door;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import oficina.server.problems.Problem;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What a filter has refused with nothing but a status becomes a problem document. */
@Controller
class ErrorsController implements ErrorController {

  @RequestMapping("${server.error.path:/error}")
  void error(HttpServletRequest request) {
    Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    throw Problem.ofStatus(
        status instanceof Integer code ? HttpStatus.valueOf(code) : HttpStatus.NOT_FOUND);
  }
}
