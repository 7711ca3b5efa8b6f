// A fixed sample of clips unlike the practice room's, from points; the long grid is `./run accuracy`.
#include "support/odd.h"
#include <cmath>
#include <QTest>

using namespace bevel;

class TestOdd : public QObject {
    Q_OBJECT
private slots:
    void stated_errors_hold_on_odd_takes() {
        std::map<std::string, std::vector<test::Error>> all;
        QStringList refused;
        for (std::uint64_t k = 0; k < 100; ++k) {
            std::string why;
            if (!test::odd_errors(k, all, why)) refused << QString::fromStdString(why);
        }
        QVERIFY2(refused.size() <= 3, qPrintable(refused.join(QLatin1Char('\n'))));
        for (const auto& [id, e] : all) {
            if (e.size() < 15) continue;
            // Of n values within 1.64 sigma nine in ten are expected; three binomial sigma below that is not chance.
            const double n = static_cast<double>(e.size()), least = 0.90 - 3 * std::sqrt(0.9 * 0.1 / n) - 0.04;
            QVERIFY2(test::covered(e, 1.64) >= least, qPrintable(QStringLiteral("%1: %2 of %3 within 1.64 sigma").arg(QString::fromStdString(id)).arg(test::covered(e, 1.64)).arg(n)));
        }
    }
};
QTEST_GUILESS_MAIN(TestOdd)
#include "test_odd.moc"
