#include "cli/commands.h"
#include <csignal>
#include <cstdio>
#include <iostream>
#include <map>
#include <pthread.h>
#include <sys/stat.h>
#include <thread>

namespace {

constexpr const char* usage =
    "bevel-cli - measures and judges clips of tai chi and qigong practice\n"
    "\n"
    "  bevel-cli simulate --movement ID|--form ID [--in PART]... [--fault NAME[.left|.right]=SIZE]... [--view V] [--size WxH] [--fps N]\n"
    "                     [--seed N] [--height-cm H] [-o clip.mp4] [--truth truth.csv]\n"
    "  bevel-cli track CLIP -o points.csv [--model lite|full|heavy]\n"
    "  bevel-cli review CLIP|points.csv --movement ID|--form ID [--view V] [--height-cm H] [--school ID] -o review.json\n"
    "  bevel-cli quiet-test TEST CLIP|points.csv [--view V] [--height-cm H] [--support FROM-TO|all]... [-o test.json]\n"
    "  bevel-cli letter review.json -o letter.pdf|letter.html\n"
    "  bevel-cli letter --library FOLDER --clip ID -o letter.pdf|letter.html|letter.txt\n"
    "  bevel-cli plan needs.json -o plan.json [--library FOLDER --person NAME...]\n"
    "  bevel-cli course needs.json -o course.json [--html PAGE] [--pdf FILE] [--ics FILE] [--at HH:MM] [--title T] [--so-far course.json "
    "--now WEEK\n"
    "                     [--missed WEEK]...] [--library FOLDER --person NAME...]\n"
    "  bevel-cli library check|people FOLDER; search FOLDER WORD...\n"
    "  bevel-cli library backup FOLDER -o FILE.tar [--without-damaged]; restore FILE.tar -o FOLDER [--without-damaged]\n"
    "  bevel-cli library bundle FOLDER --person NAME [--films] -o FILE.zip\n"
    "  bevel-cli library import FOLDER CLIP|BUNDLE... [--mirrored] [--even-if-same] [--do-not-find]\n"
    "  bevel-cli movements\n"
    "  bevel-cli forms [ID]\n"
    "  bevel-cli measures\n"
    "  bevel-cli demo --make FOLDER\n"
    "\n"
    "Exit codes: 0 done, 1 the result cannot be written, 2 wrong use, 3 input cannot be read, 4 cannot be judged, 130 cancelled.\n";

} // namespace

int main(int argc, char** argv) {
    ::umask(077); // clips of people are private: what is written is for its owner alone
    using namespace bevel::cli;
    const std::map<std::string, int (*)(const Words&, const Environment&)> commands{
        {"simulate", simulate}, {"track", track},         {"review", review}, {"quiet-test", quiet_test},
        {"letter", letter},     {"movements", movements}, {"forms", forms},   {"measures", measures},
        {"demo", demo},         {"plan", plan},           {"course", course}, {"library", library}};
    const Words words(argv + 1, argv + argc);
    if (words.empty() || words[0] == "--help" || words[0] == "-h") {
        std::cout << usage;
        return words.empty() ? 2 : 0;
    }
    const auto it = commands.find(words[0]);
    if (it == commands.end()) return wrong_use("no command '" + words[0] + "'");
    // Ctrl-C stops the work in an orderly way: one thread waits for the signal and asks for the stop.
    std::stop_source source;
    sigset_t set;
    sigemptyset(&set);
    sigaddset(&set, SIGINT);
    sigaddset(&set, SIGTERM);
    pthread_sigmask(SIG_BLOCK, &set, nullptr);
    std::thread([&source, set] {
        int sig = 0;
        sigwait(&set, &sig);
        source.request_stop();
    }).detach();
    int rc = it->second(Words(words.begin() + 1, words.end()), {argv[0], source.get_token()});
    const bool said = std::cout.flush() && std::fflush(stdout) == 0 && std::ferror(stdout) == 0;
    if (!said && rc == 0) rc = complain({bevel::Code::write_failed, "standard output"});
    std::fflush(nullptr);
    std::_Exit(rc); // the waiting thread still holds the stop source
}
