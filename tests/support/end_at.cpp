#include "support/end_at.h"
#include <atomic>
#include <csignal>
#include <cstdarg>
#include <dlfcn.h>
#include <fcntl.h>
#include <sys/sendfile.h>
#include <sys/stat.h>
#include <sys/uio.h>
#include <unistd.h>

namespace bevel::test {
namespace {

std::atomic<long> calls{0}, last{0}; // last: 0 none, else the call at which the process ends

void call() {
    if (calls.fetch_add(1, std::memory_order_relaxed) + 1 == last.load(std::memory_order_relaxed)) ::kill(::getpid(), SIGKILL);
}
template <class F> F real(const char* name) {
    return reinterpret_cast<F>(::dlsym(RTLD_NEXT, name));
}

} // namespace

void end_at(long n) {
    calls = 0;
    last = n;
}
long calls_made() {
    return calls;
}

} // namespace bevel::test

// Of the C library, for this process and every library in it: what changes files is counted and passed on.
using bevel::test::call;
using bevel::test::real;

extern "C" {
// NOLINTBEGIN
ssize_t write(int fd, const void* b, size_t n) {
    static const auto f = real<ssize_t (*)(int, const void*, size_t)>("write");
    call();
    return f(fd, b, n);
}
ssize_t pwrite(int fd, const void* b, size_t n, off_t at) {
    static const auto f = real<ssize_t (*)(int, const void*, size_t, off_t)>("pwrite");
    call();
    return f(fd, b, n, at);
}
ssize_t pwrite64(int fd, const void* b, size_t n, off64_t at) {
    static const auto f = real<ssize_t (*)(int, const void*, size_t, off64_t)>("pwrite64");
    call();
    return f(fd, b, n, at);
}
ssize_t writev(int fd, const struct iovec* v, int n) {
    static const auto f = real<ssize_t (*)(int, const struct iovec*, int)>("writev");
    call();
    return f(fd, v, n);
}
ssize_t sendfile(int to, int from, off_t* at, size_t n) noexcept {
    static const auto f = real<ssize_t (*)(int, int, off_t*, size_t)>("sendfile");
    call();
    return f(to, from, at, n);
}
ssize_t copy_file_range(int from, off64_t* a, int to, off64_t* b, size_t n, unsigned flags) {
    static const auto f = real<ssize_t (*)(int, off64_t*, int, off64_t*, size_t, unsigned)>("copy_file_range");
    call();
    return f(from, a, to, b, n, flags);
}
int fsync(int fd) {
    static const auto f = real<int (*)(int)>("fsync");
    call();
    return f(fd);
}
int fdatasync(int fd) {
    static const auto f = real<int (*)(int)>("fdatasync");
    call();
    return f(fd);
}
int ftruncate(int fd, off_t n) noexcept {
    static const auto f = real<int (*)(int, off_t)>("ftruncate");
    call();
    return f(fd, n);
}
int ftruncate64(int fd, off64_t n) noexcept {
    static const auto f = real<int (*)(int, off64_t)>("ftruncate64");
    call();
    return f(fd, n);
}
int rename(const char* a, const char* b) noexcept {
    static const auto f = real<int (*)(const char*, const char*)>("rename");
    call();
    return f(a, b);
}
int unlink(const char* p) noexcept {
    static const auto f = real<int (*)(const char*)>("unlink");
    call();
    return f(p);
}
int unlinkat(int at, const char* p, int flags) noexcept {
    static const auto f = real<int (*)(int, const char*, int)>("unlinkat");
    call();
    return f(at, p, flags);
}
int remove(const char* p) noexcept {
    static const auto f = real<int (*)(const char*)>("remove");
    call();
    return f(p);
}
int mkdir(const char* p, mode_t m) noexcept {
    static const auto f = real<int (*)(const char*, mode_t)>("mkdir");
    call();
    return f(p, m);
}
int rmdir(const char* p) noexcept {
    static const auto f = real<int (*)(const char*)>("rmdir");
    call();
    return f(p);
}
int link(const char* a, const char* b) noexcept {
    static const auto f = real<int (*)(const char*, const char*)>("link");
    call();
    return f(a, b);
}
int fchmod(int fd, mode_t m) noexcept {
    static const auto f = real<int (*)(int, mode_t)>("fchmod");
    call();
    return f(fd, m);
}
int chmod(const char* p, mode_t m) noexcept {
    static const auto f = real<int (*)(const char*, mode_t)>("chmod");
    call();
    return f(p, m);
}
int open(const char* p, int flags, ...) {
    static const auto f = real<int (*)(const char*, int, mode_t)>("open");
    va_list v;
    va_start(v, flags);
    const mode_t m = (flags & O_CREAT) != 0 ? va_arg(v, mode_t) : 0;
    va_end(v);
    if ((flags & (O_CREAT | O_TRUNC)) != 0) call();
    return f(p, flags, m);
}
int open64(const char* p, int flags, ...) {
    static const auto f = real<int (*)(const char*, int, mode_t)>("open64");
    va_list v;
    va_start(v, flags);
    const mode_t m = (flags & O_CREAT) != 0 ? va_arg(v, mode_t) : 0;
    va_end(v);
    if ((flags & (O_CREAT | O_TRUNC)) != 0) call();
    return f(p, flags, m);
}
// NOLINTEND
}
