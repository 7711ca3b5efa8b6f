// What painting needs of a program without windows.
#pragma once
#include "ui/paint/theme.h"
#include <array>
#include <filesystem>
#include <memory>
#include <QGuiApplication>

namespace bevel::cli {

/// An application without a screen, and the fonts.
class Painting {
public:
    explicit Painting(const std::filesystem::path& data) {
        qputenv("QT_QPA_PLATFORM", "offscreen");
        app_ = std::make_unique<QGuiApplication>(argc_, argv_.data());
        ui::Theme::load_fonts(data);
    }

private:
    int argc_ = 1;
    std::string name_ = "bevel-cli";
    std::array<char*, 2> argv_{name_.data(), nullptr};
    std::unique_ptr<QGuiApplication> app_;
};

} // namespace bevel::cli
