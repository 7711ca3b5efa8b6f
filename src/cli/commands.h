// The commands of bevel-cli. Each returns its exit code: 0 done, 1 the result cannot be written, 2 wrong use, 3 input cannot be read, 4
// cannot be judged, 130 cancelled.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <stop_token>
#include <string>
#include <vector>

namespace bevel::cli {

struct Environment {
    std::filesystem::path program;
    std::stop_token stop;
};
using Words = std::vector<std::string>;

int simulate(const Words& words, const Environment& env);
int track(const Words& words, const Environment& env);
int review(const Words& words, const Environment& env);
int letter(const Words& words, const Environment& env);
int quiet_test(const Words& words, const Environment& env);
int movements(const Words& words, const Environment& env);
int forms(const Words& words, const Environment& env);
int measures(const Words& words, const Environment& env);
int demo(const Words& words, const Environment& env);
int plan(const Words& words, const Environment& env);
int course(const Words& words, const Environment& env);
int library(const Words& words, const Environment& env);

/// Says what went wrong on stderr and gives the exit code for it.
int complain(const Error& error);
int wrong_use(const std::string& what);

} // namespace bevel::cli
