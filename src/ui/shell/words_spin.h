// A number that says in words what it does: "usual pace", "1.3 times as long".
#pragma once
#include <functional>
#include <QDoubleSpinBox>
#include <QRegularExpression>

namespace bevel::ui {

class WordsSpin : public QDoubleSpinBox {
public:
    /// `words`: for a value; `plain`: the value whose words hold no number.
    WordsSpin(std::function<QString(double)> words, double plain) : words_(std::move(words)), plain_(plain) {}
    QString textFromValue(double v) const override { return words_(v); }
    double valueFromText(const QString& s) const override {
        const auto m = number().match(s);
        return m.hasMatch() ? QString(m.captured()).replace(QLatin1Char(','), QLatin1Char('.')).toDouble() : plain_;
    }
    /// What is typed may be a number alone.
    QValidator::State validate(QString& s, int&) const override {
        if (s == words_(plain_)) return QValidator::Acceptable;
        const auto m = number().match(s);
        if (!m.hasMatch()) return QValidator::Intermediate;
        const double v = valueFromText(s);
        return v >= minimum() && v <= maximum() ? QValidator::Acceptable : QValidator::Intermediate;
    }

private:
    static const QRegularExpression& number() {
        static const QRegularExpression n(QStringLiteral("[0-9]+([.,][0-9]+)?"));
        return n;
    }
    std::function<QString(double)> words_;
    double plain_;
};

} // namespace bevel::ui
