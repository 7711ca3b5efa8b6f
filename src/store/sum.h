// SHA-256 of what is read, as hexadecimal digits. Inside the store only.
#pragma once
#include <filesystem>
#include <memory>
#include <string>

namespace bevel {

class Sum {
public:
    Sum();
    ~Sum();
    void add(const void* bytes, std::size_t n);
    std::string hex(); // once, at the end
private:
    struct Context;
    std::unique_ptr<Context> context_;
};

/// Of a whole file; empty when it cannot be read to its end.
std::string sum_of(const std::filesystem::path& file);

} // namespace bevel
