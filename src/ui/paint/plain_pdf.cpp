#include "ui/paint/plain_pdf.h"
#define POINTERHOLDER_TRANSITION 4
#include <qpdf/QPDF.hh>
#include <qpdf/QPDFWriter.hh>

namespace bevel::ui {

bool plain_pdf(const std::string& bytes, std::string& out) {
    try {
        QPDF pdf;
        pdf.processMemoryFile("letter", bytes.data(), bytes.size());
        pdf.getTrailer().removeKey("/Info");
        pdf.getRoot().removeKey("/Metadata");
        QPDFWriter writer(pdf);
        writer.setOutputMemory();
        writer.setDeterministicID(true);
        writer.write();
        const auto made = writer.getBufferSharedPointer();
        out.assign(reinterpret_cast<const char*>(made->getBuffer()), made->getSize());
        return true;
    } catch (const std::exception& e) {
        out = e.what();
        return false;
    }
}

} // namespace bevel::ui
