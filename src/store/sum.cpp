#include "store/sum.h"
#include <array>
#include <cerrno>
#include <cstdint>
#include <fcntl.h>
#include <nettle/sha2.h>
#include <unistd.h>
#include <vector>

namespace bevel {

struct Sum::Context {
    sha256_ctx of;
};
Sum::Sum() : context_(std::make_unique<Context>()) {
    sha256_init(&context_->of);
}
Sum::~Sum() = default;
void Sum::add(const void* bytes, std::size_t n) {
    sha256_update(&context_->of, n, static_cast<const std::uint8_t*>(bytes));
}
std::string Sum::hex() {
    std::array<std::uint8_t, SHA256_DIGEST_SIZE> sum{};
    sha256_digest(&context_->of, sum.size(), sum.data());
    std::string out;
    for (const auto b : sum) {
        constexpr const char* digits = "0123456789abcdef";
        out += digits[b >> 4U];
        out += digits[b & 15U];
    }
    return out;
}

std::string sum_of(const std::filesystem::path& file) {
    const int fd = ::open(file.c_str(), O_RDONLY | O_CLOEXEC);
    if (fd < 0) return {};
    Sum sum;
    std::vector<char> piece(1U << 18U);
    ssize_t n = 0;
    while ((n = ::read(fd, piece.data(), piece.size())) > 0 || (n < 0 && errno == EINTR))
        if (n > 0) sum.add(piece.data(), static_cast<std::size_t>(n));
    ::close(fd);
    return n < 0 ? std::string() : sum.hex();
}

} // namespace bevel
