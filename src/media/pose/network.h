// A convolutional network read from a model file and run by XNNPACK on one thread.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <map>
#include <memory>
#include <span>
#include <string>
#include <vector>

namespace bevel {

class Network {
public:
    struct Impl;
    /// Reads the file (at most 64 MiB, a verified flatbuffer) and keeps only what the named outputs need.
    static Result<Network> load(const std::filesystem::path& file, const std::vector<std::string>& outputs);
    Network(Network&&) noexcept;
    Network& operator=(Network&&) noexcept;
    ~Network();

    /// Input tensor, NHWC floats; fill before run().
    std::span<float> input();
    std::span<const int> input_shape() const;
    bool run();
    /// Values of a named output after run().
    std::span<const float> output(const std::string& name) const;

private:
    explicit Network(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> impl_;
};

} // namespace bevel
